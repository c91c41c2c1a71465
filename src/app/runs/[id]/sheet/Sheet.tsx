'use client'

import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { css, Global } from '@emotion/react'
import { type SheetContent, type SheetFacts, type SheetMark, type SheetPlace, sheetOf } from '@/formats/sheet'
import { CodeSquare } from '@/ui/CodeSquare'
import { Link } from '@/ui/elements'
import { PalletDrawing } from '@/ui/PalletDrawing'
import { TextButton, useMovesSideways } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useAsPrinted, useSettings } from '@/ui/settings'

interface SheetProps {
  readonly facts: SheetFacts
  /** The revision shown; none for a draft. */
  readonly mark?: SheetMark
  /** Whether this is what the crew should work from. */
  readonly standing: string
}

const PAPER = css`
  @page { margin: 9mm; }
  @media print {
    body { background: #fff !important; }
    html { --chakra-colors-paper: #fff !important; --chakra-colors-on-paper: #000 !important;
      --chakra-colors-paper-shade: #e2e2e2 !important; }
  }
`

const Ruled = chakra('table', {
  base: {
    width: '100%',
    borderCollapse: 'collapse',
    fontSize: 'small',
    lineHeight: '1.2',
    '& th': {
      fontWeight: '600',
      textAlign: 'left',
      borderBottom: '1.5px solid currentColor',
      padding: '2px 5px',
    },
    '& td, & th': { whiteSpace: 'nowrap' },
    '& td': { borderBottom: '1px solid currentColor', padding: '3px 5px' },
    '& .wraps': { whiteSpace: 'normal' },
    '& .num': { textAlign: 'right', fontWeight: '650', fontSize: 'lead' },
  },
})

/** What the crew holds at the press: black on white, one page for up to eight screens on A4 and Letter. */
export function Sheet({ facts, mark, standing }: SheetProps) {
  const asPrinted = useAsPrinted()
  const { units } = useSettings()
  const [own, moves] = useMovesSideways()
  const { order, plan } = facts
  const content = sheetOf(facts, units, mark)
  const pdf = `/api/runs/${plan.run.id}/sheet.pdf?${asPrinted}${mark ? `&revision=${mark.number}` : ''}`
  return (
    <Box bg={{ base: 'work', _print: 'paper' }} minHeight="100vh" py={{ base: '4', _print: '0' }}>
      <Global styles={PAPER} />
      <Flex
        as="nav"
        aria-label="Sheet"
        maxWidth="208mm"
        mx="auto"
        mb="3"
        gap="4"
        align="baseline"
        css={{ '@media print': { display: 'none' } }}
      >
        <Link href={`/orders/${order.id}/run?run=${plan.run.id}`} textDecoration="underline">
          Back to the order
        </Link>
        <Box fontWeight="650">{standing}</Box>
        <Link href={`/runs/${plan.run.id}/rehearsal`} prefetch={false} textDecoration="underline">
          Rehearse it
        </Link>
        <Link href={pdf} prefetch={false} download ml="auto" textDecoration="underline">
          PDF
        </Link>
        <TextButton onClick={() => window.print()}>Print</TextButton>
      </Flex>
      <Box
        as="main"
        ref={own}
        tabIndex={moves ? 0 : undefined}
        className="sheet"
        bg="paper"
        color="onPaper"
        maxWidth="208mm"
        mx="auto"
        p={{ base: '8mm', _print: '0' }}
        overflowX={{ base: 'auto', md: 'visible', _print: 'visible' }}
        position="relative"
        css={{ '@media print': { maxWidth: 'none' } }}
      >
        <Flex justify="space-between" align="start" borderBottom="3px solid" borderColor="onPaper" pb="1.5">
          <Box>
            <Box as="h1" fontSize="figure" fontWeight="800" fontStretch="80%" lineHeight="1.05">
              {content.title}
            </Box>
            <Box fontSize="body" mt="0.5">
              {content.subtitle}
            </Box>
          </Box>
          <Flex gap="3">
            <Box textAlign="right">
              <Box fontSize="figure" fontWeight="800" fontStretch="80%" lineHeight="1.05">
                {content.press}
              </Box>
              <Box fontSize="body">{content.pieces}</Box>
            </Box>
            {content.code && <CodeSquare code={content.code} size={52} />}
          </Flex>
        </Flex>
        <Flex fontSize="small" lineHeight="1.2" mt="0.5" justify="space-between" align="baseline">
          <Box fontWeight="650">{content.mark}</Box>
          {content.code && (
            <Box>
              Still good? Ask Orvint for <strong style={{ letterSpacing: '0.08em' }}>{content.code}</strong>
            </Box>
          )}
        </Flex>
        {content.problem ? (
          <Box fontSize="lead" py="3">
            <SeverityMark severity="Stop" /> {content.problem}
          </Box>
        ) : (
          <Strip places={content.places} />
        )}
        <Hits content={content} />
        <Grid templateColumns="1fr auto" gap="5" mt="3">
          <Box>
            <Grid templateColumns="repeat(3, 1fr)" gap="2">
              {content.facts.map((f) => (
                <Box key={f.label} lineHeight="1.15">
                  <Box fontSize="small">{f.label}</Box>
                  <Box fontSize="title" fontWeight="700" fontStretch="90%">
                    {f.text}
                  </Box>
                </Box>
              ))}
            </Grid>
            <Counts content={content} />
          </Box>
          <Box width="52mm" textAlign="center">
            <PalletDrawing plan={plan} height={196} />
            <Box fontSize="body">
              {content.placing.map((p) => (
                <div key={p.words}>
                  <strong>{p.length}</strong> {p.words}
                </div>
              ))}
            </Box>
          </Box>
        </Grid>
        <Box mt="2" fontSize="body">
          {content.heat.map((h) => (
            <Box key={h.name}>
              <strong>{h.name}</strong> {h.words}
            </Box>
          ))}
          {content.notes && (
            <Box mb="1">
              <strong>From the order:</strong> {content.notes}
            </Box>
          )}
          {content.warnings.map((w) => (
            <Flex key={w.text} gap="2" align="baseline">
              <SeverityMark severity={w.severity} />
              {w.text}
            </Flex>
          ))}
        </Box>
        <Flex mt="3" gap="6" fontSize="body">
          <Blank label="Sample approved by" />
          <Blank label="at" />
          <Blank label="Spoiled" />
        </Flex>
        <Box mt="3" fontSize="body">
          Changed at the press, and why
          {/* A fourth row of facts, or of warnings, takes the place of one line. */}
          {(content.facts.length > 9 || content.warnings.length > 3 ? [1] : [1, 2]).map((row) => (
            <Box key={row} borderBottom="1px solid" borderColor="onPaper" height="22px" />
          ))}
        </Box>
        <Box mt="2" fontSize="small" lineHeight="1.25">
          <div>{content.cautions}</div>
          <div>{content.foot}</div>
        </Box>
      </Box>
    </Box>
  )
}

/** The places of the press in order, as boxes. */
const Strip = ({ places }: { readonly places: readonly SheetPlace[] }) => (
  <Flex mt="2" wrap="wrap" borderTop="1.5px solid" borderLeft="1.5px solid" borderColor="onPaper">
    {places.map((place, i) => (
      <Box
        // biome-ignore lint/suspicious/noArrayIndexKey: a place of the strip is its index
        key={i}
        flex="1 1 58px"
        minWidth="0"
        minHeight="74px"
        px="1"
        py="0.5"
        borderRight="1.5px solid"
        borderBottom="1.5px solid"
        borderColor="onPaper"
        bg={place.flash ? 'paperShade' : undefined}
        css={{ printColorAdjust: 'exact' }}
      >
        <Box fontSize="figure" fontWeight="800" lineHeight="1.1">
          {place.number}
        </Box>
        <Box fontSize="small" fontWeight="700" fontStretch="70%" lineHeight="1.1" overflowWrap="anywhere">
          {place.name}
        </Box>
        <Box fontSize="small" fontStretch="80%">
          {place.detail}
        </Box>
      </Box>
    ))}
  </Flex>
)

/** Columns of the hit table that hold the numbers looked for first, and the one that may wrap. */
const BIG = new Set([0, 3, 4])
const NAME = 1

const Hits = ({ content }: { readonly content: SheetContent }) => (
  <Ruled mt="2">
    <thead>
      <tr>
        {content.hitHead.map((h) => (
          <th key={h}>{h}</th>
        ))}
      </tr>
    </thead>
    <tbody>
      {content.hits.map((row) => (
        <tr key={`${row[0]} ${row[NAME]}`}>
          {row.map((cell, i) => (
            <td key={content.hitHead[i]} className={BIG.has(i) ? 'num' : i === NAME ? 'wraps' : undefined}>
              {i === NAME ? <strong>{cell}</strong> : cell}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  </Ruled>
)

const Counts = ({ content }: { readonly content: SheetContent }) => (
  <Ruled mt="3" width="auto">
    <thead>
      <tr>
        <th>Garments</th>
        {content.sizes.map((s) => (
          <th key={s} style={{ textAlign: 'right' }}>
            {s}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>
      {content.garments.map((g) => (
        <tr key={g.name}>
          <td>{g.name}</td>
          {g.counts.map((n, i) => (
            <td key={content.sizes[i]} className="num">
              {n}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  </Ruled>
)

const Blank = ({ label }: { readonly label: string }) => (
  <Flex flex="1" gap="2" align="end">
    {label}
    <Box flex="1" borderBottom="1px solid" borderColor="onPaper" height="22px" />
  </Flex>
)
