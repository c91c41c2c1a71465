'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { type ReactNode, useId, useState } from 'react'
import {
  type Customer,
  ORDER_STATES,
  type OrderState,
  type UsualPrint,
  WHERES,
  WHITE_LOOKS,
  type WhiteLook,
} from '@/core/order'
import { Day } from '@/ui/day'
import { Input, Label, Link, PageTitle } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { Section, Table, TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Swatch } from '@/ui/Swatch'
import { AskFrame } from '../../AskFrame'
import { act } from '../../acts/act'
import type { ActGiven } from '../../acts/table'
import { Notes } from '../../notes/Notes'
import { customerPath } from '../customerPath'

interface Props {
  readonly shopName: string
  /** Days between printed and due where a customer wants none of their own. */
  readonly shopLead: number
  readonly customer: Customer
  readonly orders: readonly {
    readonly id: string
    readonly title: string
    readonly due: string
    readonly state: OrderState
  }[]
  readonly prints: readonly UsualPrint[]
  readonly inks: readonly { readonly name: string; readonly hex: string; readonly times: number }[]
  /** Names of other customers. */
  readonly others: readonly string[]
}

/** Inks that are shown of those a customer had. */
const SHOWN = 10

/** A customer: their orders, what is usual for them, and what holds for all their jobs. */
export function CustomerDesk({ shopName, shopLead, customer, orders, prints, inks, others }: Props) {
  const { name } = customer
  return (
    <AskFrame shopName={shopName}>
      <Flex align="baseline" gap="5" mb="5" wrap="wrap">
        <PageTitle>{name}</PageTitle>
        <Link href="/customers" color="soft" textDecoration="underline">
          All customers
        </Link>
      </Flex>
      <HouseRules customer={customer} shopLead={shopLead} />
      <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} columnGap="8">
        <Section title="Usual prints">
          {prints.map((p) => (
            <Flex key={p.where} gap="4" py="1.5" borderBottom="1px solid" borderColor="rule" align="baseline">
              <Box fontWeight="650">{WHERES[p.where]}</Box>
              <Box>
                <Measure kind="length" value={p.width} /> × <Measure kind="length" value={p.height} />
              </Box>
              <Box ml="auto" color="soft">
                {p.times} {p.times === 1 ? 'time' : 'times'}
              </Box>
            </Flex>
          ))}
        </Section>
        <Section title="Inks they had">
          {inks.slice(0, SHOWN).map((i) => (
            <Flex
              key={`${i.name} ${i.hex}`}
              gap="3"
              py="1.5"
              borderBottom="1px solid"
              borderColor="rule"
              align="center"
            >
              <Swatch hex={i.hex} />
              <Box>{i.name}</Box>
              <Box ml="auto" color="soft">
                {i.times} {i.times === 1 ? 'time' : 'times'}
              </Box>
            </Flex>
          ))}
        </Section>
      </Grid>
      <Section title="Orders">
        <Table>
          <thead>
            <tr>
              <th style={{ width: '6rem' }}>Number</th>
              <th>Job</th>
              <th style={{ width: '10rem' }}>Due</th>
              <th style={{ width: '8rem' }}>How far</th>
            </tr>
          </thead>
          <tbody>
            {orders.map((o) => (
              <tr key={o.id}>
                <td>
                  <Link
                    href={`/orders/${o.id}/order`}
                    prefetch={false}
                    fontWeight="650"
                    textDecoration="underline"
                  >
                    {o.id}
                  </Link>
                </td>
                <td>{o.title}</td>
                <td>
                  <Day at={o.due} />
                </td>
                <td>{ORDER_STATES[o.state]}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Section>
      <Section title="Notes and pictures">
        <Notes about="customer" of={name} name={name} />
      </Section>
      <SameAs name={name} others={others} />
    </AskFrame>
  )
}

type Part = 'rules' | 'whiteLook' | 'leadDays'

/** What holds for all their jobs; each is kept by itself when it is left. */
function HouseRules({ customer, shopLead }: Pick<Props, 'customer' | 'shopLead'>) {
  // Each by itself: what comes late of one field says nothing of another.
  const [problems, setProblems] = useState<Readonly<Partial<Record<Part, string>>>>({})
  const tell = (part: Part, problem: string) => setProblems((now) => ({ ...now, [part]: problem }))
  const say = async <P extends Part>(part: P, value: ActGiven<'sayOfCustomer'>[P]) => {
    const done = await act('sayOfCustomer', { name: customer.name, [part]: value })
    tell(part, done.ok ? '' : done.message)
  }
  const sayLead = (text: string) => {
    const typed = text.trim()
    const days = typed === '' ? null : Number(typed)
    if (days !== null && !(Number.isInteger(days) && days >= 0 && days <= 60))
      return tell('leadDays', 'A whole number up to 60, or nothing for the shop’s.')
    tell('leadDays', '')
    if ((days ?? undefined) !== customer.leadDays) void say('leadDays', days)
  }
  return (
    <Section title="For all their jobs">
      <Grid templateColumns={{ base: '1fr', md: '1fr 18rem 11rem' }} gap="4" alignItems="start">
        <Field label="House rules" problem={problems.rules}>
          {(id) => (
            <Input
              id={id}
              {...BOX}
              maxLength={400}
              defaultValue={customer.rules}
              placeholder="always soft hand, no neck labels"
              onBlur={(e) => e.target.value !== customer.rules && void say('rules', e.target.value.trim())}
            />
          )}
        </Field>
        <Field label="White is to look" problem={problems.whiteLook}>
          {(id) => (
            <Select
              id={id}
              field
              value={customer.whiteLook ?? ''}
              onChange={(e) => void say('whiteLook', e.target.value as WhiteLook | '')}
            >
              <option value="">as each order says</option>
              {Object.entries(WHITE_LOOKS).map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </Select>
          )}
        </Field>
        <Field label="Days from printed to due" problem={problems.leadDays}>
          {(id) => (
            <Input
              id={id}
              {...BOX}
              inputMode="numeric"
              defaultValue={customer.leadDays ?? ''}
              placeholder={`${shopLead}, the shop’s`}
              onBlur={(e) => sayLead(e.target.value)}
            />
          )}
        </Field>
      </Grid>
    </Section>
  )
}

const BOX = {
  width: '100%',
  bg: 'raised',
  px: '1.5',
  py: '1',
  minHeight: 'field',
  borderBottom: '1px solid',
  borderColor: 'soft',
} as const

function Field({
  label,
  problem,
  children,
}: {
  readonly label: string
  readonly problem: string | undefined
  readonly children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <Box>
      <Label htmlFor={id} display="block" fontSize="small" color="soft">
        {label}
      </Label>
      {children(id)}
      {problem && (
        <Box role="alert" fontWeight="650" fontSize="small">
          {problem}
        </Box>
      )}
    </Box>
  )
}

/** Two ways of typing one customer become one, once it is said again. */
function SameAs({ name, others }: { readonly name: string; readonly others: readonly string[] }) {
  const router = useRouter()
  const [to, setTo] = useState('')
  const [problem, setProblem] = useState('')
  const id = useId()
  const merge = async () => {
    const done = await act('mergeCustomer', { from: name, to })
    if (done.ok) router.push(customerPath(to))
    else setProblem(done.message)
  }
  if (others.length === 0) return null
  return (
    <Flex gap="3" align="baseline" wrap="wrap" mt="6">
      <Label htmlFor={id} color="soft">
        Typed twice? The same customer as
      </Label>
      <Select id={id} value={to} onChange={(e) => setTo(e.target.value)}>
        <option value="">choose</option>
        {others.map((o) => (
          <option key={o}>{o}</option>
        ))}
      </Select>
      {to && (
        <TextButton onClick={() => void merge()}>
          Put all orders of {name} under {to}
        </TextButton>
      )}
      {problem && <Box role="alert">{problem}</Box>}
    </Flex>
  )
}
