'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useId } from 'react'
import { type Measure as In, measureOf } from '@/core/quantity'
import { COMPUTED, QUANTITIES, type QuoteContent, type QuotedPrint } from '@/formats/quote'
import { AskNumber } from '@/ui/AskNumber'
import { Day } from '@/ui/day'
import { Link, PageTitle } from '@/ui/elements'
import { QuantityInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Section, Table, TextButton } from '@/ui/Section'
import { Swatch } from '@/ui/Swatch'
import { useAsPrinted, useSettings } from '@/ui/settings'
import { AskFrame } from '../../AskFrame'
import type { QuoteAsked } from '../read'
import { Proof } from './Proof'

interface Props {
  readonly asked: QuoteAsked
  readonly content: Readonly<Record<In, QuoteContent>>
  /** Prints that have films. */
  readonly pictured: readonly string[]
}

const queryOf = ({ markup, garment, priced }: QuoteAsked) =>
  new URLSearchParams({
    plus: String(Math.round(markup * 10_000) / 100),
    ...(garment > 0 && { garment: String(garment) }),
    ...(!priced && { prices: 'no' }),
  })

/** The page that is sent to a customer: what it costs them, and how it will look. */
export function QuoteDesk({ asked, content, pictured }: Props) {
  const asPrinted = useAsPrinted()
  const router = useRouter()
  const { units } = useSettings()
  const { shopName, order, garments, prints, garment, total } = content[measureOf(units)]
  const ask = (part: Partial<QuoteAsked>) =>
    router.replace(`/quotes/${order.id}?${queryOf({ ...asked, ...part })}`)
  const pdf = (paper: string) => `/api/orders/${order.id}/quote.pdf?${queryOf(asked)}&${asPrinted}${paper}`
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" columnGap="5" rowGap="1" mb="4" wrap="wrap">
        <PageTitle>{asked.priced ? 'Quote and proof' : 'Proof'}</PageTitle>
        <Box>
          <Link href={`/orders/${order.id}/order`} textDecoration="underline" fontWeight="650">
            {order.id}
          </Link>{' '}
          {[order.customer, order.title].filter(Boolean).join(', ')}, due <Day at={order.due} />
        </Box>
        <Flex gap="5" ml="auto" fontWeight="650">
          <Link href={pdf('')} prefetch={false} download textDecoration="underline">
            PDF, A4
          </Link>
          <Link href={pdf('&paper=letter')} prefetch={false} download textDecoration="underline">
            PDF, Letter
          </Link>
        </Flex>
      </Flex>
      <Flex columnGap="8" rowGap="3" align="end" wrap="wrap" mb="5">
        {asked.priced && total !== undefined && (
          <Headline label="In all">
            <Measure kind="money" value={total} />
          </Headline>
        )}
        {asked.priced && (
          <>
            <Box width="9rem">
              <QuantityInput
                label="On top of costs"
                kind="share"
                value={asked.markup}
                onGive={(markup) => ask({ markup })}
              />
            </Box>
            <Box width="9rem">
              <QuantityInput
                label="For a garment"
                kind="money"
                value={asked.garment}
                onGive={(each) => ask({ garment: each })}
              />
            </Box>
          </>
        )}
        <TextButton onClick={() => ask({ priced: !asked.priced })}>
          {asked.priced ? 'Without prices' : 'With prices'}
        </TextButton>
      </Flex>
      {prints.length === 0 && (
        <Box fontSize="lead">
          Nothing to print yet: an order needs quantities and colours before it is quoted.
        </Box>
      )}
      {asked.priced && prints.length > 0 && <Prices {...{ prints, garment, total }} />}
      {prints.map((p) => (
        <PrintOf key={p.runId} print={p} orderId={order.id} pictured={pictured.includes(p.print)} />
      ))}
      <Section title="Garments">
        {garments.map((g) => (
          <Flex
            key={`${g.words} ${g.sizes}`}
            gap="5"
            py="1.5"
            borderBottom="1px solid"
            borderColor="rule"
            wrap="wrap"
          >
            <Box fontWeight="650">{g.words}</Box>
            <Box>{g.sizes}</Box>
            <Box ml="auto">{g.pieces} pieces</Box>
          </Flex>
        ))}
      </Section>
      <Box color="soft" fontSize="small" maxWidth="42rem">
        {COMPUTED} Costs are at the prices of Shop, Method and hours, at the pace that is planned.
      </Box>
    </AskFrame>
  )
}

/** What is asked, by run and quantity. */
function Prices({ prints, garment, total }: Pick<QuoteContent, 'prints' | 'garment' | 'total'>) {
  const id = useId()
  return (
    <Box overflowX="auto" mb="6" tabIndex={0} role="region" aria-labelledby={id}>
      <Box id={id} srOnly>
        Prices
      </Box>
      <Table minWidth={{ base: '44rem', lg: '0' }} css={{ '& td': { paddingBlock: '4px' } }}>
        <thead>
          <tr>
            <th>Printing</th>
            <th className="num">Pieces</th>
            <th className="num">Each</th>
            <th className="num">Sum</th>
            {QUANTITIES.map((n) => (
              <th key={n} className="num">
                each of {n}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {prints.map(({ runId, where, on, pieces, priced }) => (
            <tr key={runId}>
              <td>
                {where} on {on}
              </td>
              <td className="num">{pieces}</td>
              <td className="num">
                {priced ? (
                  <Box as="span" fontWeight="700" fontSize="lead">
                    <AskNumber label={`Price of a piece, ${where} on ${on}`} reasons={[priced.reason]}>
                      <Measure kind="money" value={priced.each} />
                    </AskNumber>
                  </Box>
                ) : (
                  'no way to print it yet'
                )}
              </td>
              <td className="num">{priced && <Measure kind="money" value={priced.sum} />}</td>
              {QUANTITIES.map((n) => {
                const each = priced?.at.find((a) => a.pieces === n)?.each
                return (
                  <td key={n} className="num">
                    {each !== undefined && <Measure kind="money" value={each} />}
                  </td>
                )
              })}
            </tr>
          ))}
          {garment && (
            <tr>
              <td>Garments</td>
              <td className="num">{garment.pieces}</td>
              <td className="num">
                <Measure kind="money" value={garment.each} />
              </td>
              <td className="num">
                <Measure kind="money" value={garment.sum} />
              </td>
            </tr>
          )}
          {total !== undefined && (
            <tr>
              <td>
                <b>In all</b>
              </td>
              <td />
              <td />
              <td className="num">
                <b>
                  <Measure kind="money" value={total} />
                </b>
              </td>
            </tr>
          )}
        </tbody>
      </Table>
    </Box>
  )
}

function PrintOf({
  print,
  orderId,
  pictured,
}: {
  readonly print: QuotedPrint
  readonly orderId: string
  readonly pictured: boolean
}) {
  return (
    <Section title={`${print.where} on ${print.on}`}>
      <Grid templateColumns={{ base: '1fr', md: '19rem 1fr' }} gap="6">
        <Proof print={print} orderId={orderId} pictured={pictured} />
        <Box>
          <Box fontSize="figure" fontWeight="700" lineHeight="1.2">
            {print.size}
          </Box>
          <Box>{print.placed}</Box>
          <Box color="soft" mb="3">
            {print.pieces} pieces{print.drawing && `, drawn on size ${print.drawing.size}`}
          </Box>
          {print.inks.map((i) => (
            <Flex key={`${i.name} ${i.hex}`} gap="3" align="center" py="1">
              <Swatch hex={i.hex} size={22} /> {i.name}
            </Flex>
          ))}
        </Box>
      </Grid>
    </Section>
  )
}
