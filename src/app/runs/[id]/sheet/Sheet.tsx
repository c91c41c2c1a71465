'use client'

import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { css, Global } from '@emotion/react'
import { format, parseISO } from 'date-fns'
import NextLink from 'next/link'
import type { ReactNode } from 'react'
import { choiceOf, numberOf, tell } from '@/core/advice'
import { type Order, WHERES } from '@/core/order'
import type { Cell, HitPlan, RunPlan } from '@/core/plan'
import { type Kind, writeQuantity } from '@/core/quantity'
import { PalletDrawing } from '@/ui/PalletDrawing'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'

const Link = chakra(NextLink)

interface SheetProps {
  readonly order: Order
  readonly plan: RunPlan
  readonly shopName: string
  readonly printed: string
}

const PAPER = css`
  @page { margin: 9mm; }
  @media print { body { background: #fff !important; } }
`

const Ruled = chakra('table', {
  base: {
    width: '100%',
    borderCollapse: 'collapse',
    fontSize: '14px',
    lineHeight: '1.2',
    '& th': { fontWeight: '600', textAlign: 'left', borderBottom: '1.5px solid #000', padding: '2px 5px' },
    '& td, & th': { whiteSpace: 'nowrap' },
    '& td': { borderBottom: '1px solid #000', padding: '3px 5px' },
    '& .wraps': { whiteSpace: 'normal' },
    '& .num': { textAlign: 'right', fontWeight: '650', fontSize: '17px' },
  },
})

/** What the crew holds at the press: black on white, one page for up to eight screens on A4 and Letter. */
export function Sheet({ order, plan, shopName, printed }: SheetProps) {
  const { units } = useSettings()
  const { run, placement, cure } = plan
  return (
    <Box bg={{ base: 'work', _print: '#ffffff' }} minHeight="100vh" py={{ base: '4', _print: '0' }}>
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
        <Link href={`/orders/${order.id}/run?run=${run.id}`} textDecoration="underline">
          Back to the order
        </Link>
        <TextButton onClick={() => window.print()} ml="auto">
          Print
        </TextButton>
      </Flex>
      <Box
        as="main"
        bg="paper"
        color="#000000"
        maxWidth="208mm"
        mx="auto"
        p={{ base: '8mm', _print: '0' }}
        css={{
          '--chakra-colors-ink': '#000',
          '--chakra-colors-soft': '#222',
          '@media print': { maxWidth: 'none' },
        }}
      >
        <Flex justify="space-between" align="start" borderBottom="3px solid #000" pb="1.5">
          <Box>
            <Box as="h1" fontSize="25px" fontWeight="800" fontStretch="80%" lineHeight="1.05">
              {order.customer}, {order.title}
            </Box>
            <Box fontSize="15px" mt="0.5">
              {run.id} · {WHERES[run.placement.where]} · {plan.cloth.name} · due{' '}
              {format(parseISO(order.due), 'EEE d MMM')}
            </Box>
          </Box>
          <Box textAlign="right">
            <Box fontSize="25px" fontWeight="800" fontStretch="80%" lineHeight="1.05">
              {plan.press.name}
            </Box>
            <Box fontSize="15px">{run.quantity} pieces</Box>
          </Box>
        </Flex>
        {plan.sequence.fits ? (
          <Strip plan={plan} />
        ) : (
          <Box fontSize="17px" py="3">
            <SeverityMark severity="Stop" /> {plan.sequence.reasons.map((r) => tell(r, units)).join(' ')}
          </Box>
        )}
        <Hits plan={plan} />
        <Grid templateColumns="1fr auto" gap="5" mt="3">
          <Box>
            <Facts>
              <Fact label="Off-contact" kind="length" value={numberOf(plan.offContact)} />
              <Fact label="Blade length" kind="length" value={numberOf(plan.bladeLength)} />
              {plan.direction && <Fact label="Stroke" text={choiceOf(plan.direction)} />}
              {plan.flashHeight && (
                <Fact label="Flash height" kind="length" value={numberOf(plan.flashHeight)} />
              )}
              {plan.coolDown && (
                <Fact
                  label={plan.coolDown.kind === 'count' ? 'Empty heads' : 'Cool-down'}
                  kind={plan.coolDown.kind}
                  value={numberOf(plan.coolDown)}
                />
              )}
              <Fact label="Film at cure" kind="temperature" value={numberOf(cure.film)} />
              <Fact label="In the heat" kind="duration" value={numberOf(cure.dwell)} />
              {cure.belt && (
                <Fact
                  label={cure.dryer.choices.find((c) => c.value === choiceOf(cure.dryer))?.label ?? 'Belt'}
                  kind="beltSpeed"
                  value={numberOf(cure.belt)}
                />
              )}
              {plan.time && (
                <Fact
                  label="Time, roughly"
                  text={`${writeQuantity('workTime', plan.time.total.range[0], units)} to ${writeQuantity('workTime', plan.time.total.range[1], units)}`}
                />
              )}
            </Facts>
            <Counts plan={plan} />
          </Box>
          <Box width="52mm" textAlign="center">
            <PalletDrawing plan={plan} height={196} />
            <Box fontSize="15px">
              {placement.groups.map((g) => (
                <div key={g.group}>
                  <strong>{writeQuantity('length', numberOf(g.down), units)}</strong>{' '}
                  {g.down.label.toLowerCase()}
                </div>
              ))}
              {placement.side && (
                <div>
                  <strong>{writeQuantity('length', numberOf(placement.side), units)}</strong> from the centre
                  line
                </div>
              )}
            </Box>
          </Box>
        </Grid>
        <Warnings plan={plan} notes={order.notes} />
        <Flex mt="3" gap="6" fontSize="15px">
          <Blank label="Sample approved by" />
          <Blank label="at" />
          <Blank label="Spoiled" />
        </Flex>
        <Box mt="3" fontSize="15px">
          Changed at the press, and why
          {[1, 2].map((row) => (
            <Box key={row} borderBottom="1px solid #000" height="25px" />
          ))}
        </Box>
        <Flex mt="2" fontSize="11px" justify="space-between" borderTop="1px solid #000" pt="1">
          <span>
            {plan.cautions
              .slice(0, 2)
              .map((c) => tell(c, units))
              .join(' ')}
          </span>
        </Flex>
        <Flex fontSize="11px" justify="space-between">
          <span>{shopName}. Computed from common practice, not measured at this press.</span>
          <span>Printed {printed}</span>
        </Flex>
      </Box>
    </Box>
  )
}

/** The places of the press in order, as boxes. */
function Strip({ plan }: { readonly plan: RunPlan }) {
  const { units } = useSettings()
  const words = (cell: Cell): readonly [string, string] => {
    switch (cell.kind) {
      case 'print': {
        const hit = plan.hits.find((h) => h.hit.id === cell.hitId)
        return [hit?.hit.name ?? '', hit ? writeQuantity('meshCount', numberOf(hit.mesh), units) : '']
      }
      case 'flash': {
        const flash = plan.flashes[cell.flash]
        return [
          flash?.unit ? 'FLASH' : 'DRY',
          flash ? writeQuantity('duration', numberOf(flash.dwell), units) : '',
        ]
      }
      case 'cool':
        return ['', 'cool']
      case 'down':
        return ['', 'down']
      case 'free':
        return ['', '']
      default:
        return cell satisfies never
    }
  }
  const ring = plan.press.kind === 'automatic'
  return (
    <Flex mt="2" wrap="wrap" borderTop="1.5px solid #000" borderLeft="1.5px solid #000">
      {plan.sequence.cells.map((cell, i) => {
        const [big, small] = words(cell)
        return (
          <Box
            // biome-ignore lint/suspicious/noArrayIndexKey: a place of the strip is its index
            key={i}
            flex="1 1 58px"
            minWidth="0"
            minHeight="74px"
            px="1"
            py="0.5"
            borderRight="1.5px solid #000"
            borderBottom="1.5px solid #000"
            bg={cell.kind === 'flash' ? '#e2e2e2' : undefined}
            css={{ printColorAdjust: 'exact' }}
          >
            <Box fontSize="22px" fontWeight="800" lineHeight="1.1">
              {ring && 'station' in cell ? cell.station : i + 1}
            </Box>
            <Box
              fontSize="13.5px"
              fontWeight="700"
              fontStretch="70%"
              lineHeight="1.1"
              overflowWrap="anywhere"
            >
              {big}
            </Box>
            <Box fontSize="13.5px" fontStretch="80%">
              {small}
            </Box>
          </Box>
        )
      })}
    </Flex>
  )
}

function Hits({ plan }: { readonly plan: RunPlan }) {
  const { units } = useSettings()
  const station = (h: HitPlan) => {
    const at = plan.sequence.cells.findIndex((c) => c.kind === 'print' && c.hitId === h.hit.id)
    const cell = plan.sequence.cells[at]
    return cell && 'station' in cell ? (cell.station ?? at + 1) : at + 1
  }
  const write = (kind: Kind, x: number) => writeQuantity(kind, x, units)
  return (
    <Ruled mt="2">
      <thead>
        <tr>
          <th>{plan.press.kind === 'automatic' ? 'Station' : 'Step'}</th>
          <th>Screen</th>
          <th>Frame</th>
          <th>Mesh</th>
          <th>Strokes</th>
          <th>Blade</th>
          <th>Angle</th>
          <th>Pressure</th>
          <th>A stroke</th>
          <th>Flood</th>
          <th>Ink</th>
        </tr>
      </thead>
      <tbody>
        {plan.hits.map((h) => (
          <tr key={h.hit.id}>
            <td className="num">{station(h) || '–'}</td>
            <td className="wraps">
              <strong>{h.hit.name}</strong>
            </td>
            <td>{h.sameScreenAs ? 'same' : (h.frame?.id ?? 'none')}</td>
            <td className="num">{write('meshCount', numberOf(h.mesh))}</td>
            <td className="num">{numberOf(h.stroke.strokes)}</td>
            <td>{choiceOf(h.stroke.blade)}</td>
            <td>{write('angle', numberOf(h.stroke.angle))}</td>
            <td>{choiceOf(h.stroke.pressure)}</td>
            <td>{write('duration', numberOf(h.stroke.time))}</td>
            <td>{choiceOf(h.stroke.flood)}</td>
            <td>{h.ink ? write('mass', numberOf(h.ink)) : ''}</td>
          </tr>
        ))}
      </tbody>
    </Ruled>
  )
}

const Facts = ({ children }: { readonly children: ReactNode }) => (
  <Grid templateColumns="repeat(3, 1fr)" gap="2">
    {children}
  </Grid>
)

type FactProps = { readonly label: string } & (
  | { readonly kind: Kind; readonly value: number }
  | { readonly text: string }
)

function Fact(props: FactProps) {
  const { units } = useSettings()
  return (
    <Box lineHeight="1.15">
      <Box fontSize="13.5px">{props.label}</Box>
      <Box fontSize="20px" fontWeight="700" fontStretch="90%">
        {'text' in props ? props.text : writeQuantity(props.kind, props.value, units)}
      </Box>
    </Box>
  )
}

function Counts({ plan }: { readonly plan: RunPlan }) {
  const sizes = [...new Set(plan.run.lines.flatMap((l) => l.sizes.map((s) => s.size)))]
  return (
    <Ruled mt="3" width="auto">
      <thead>
        <tr>
          <th>Garments</th>
          {sizes.map((s) => (
            <th key={s} style={{ textAlign: 'right' }}>
              {s}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {plan.run.lines.map((l) => (
          <tr key={l.id}>
            <td>
              {l.style}, {l.cloth.name}
            </td>
            {sizes.map((s) => (
              <td key={s} className="num">
                {l.sizes.find((x) => x.size === s)?.quantity ?? ''}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Ruled>
  )
}

function Warnings({ plan, notes }: { readonly plan: RunPlan; readonly notes: string }) {
  const { units } = useSettings()
  const shown = plan.warnings.filter((w) => w.severity !== 'Note').slice(0, 6)
  return (
    <Box mt="3" fontSize="15px">
      {notes && (
        <Box mb="1">
          <strong>From the order:</strong> {notes.slice(0, 300)}
        </Box>
      )}
      {shown.map((w) => (
        <Flex key={tell(w, 'metric')} gap="2" align="baseline">
          <SeverityMark severity={w.severity ?? 'Note'} />
          {tell(w, units)}
        </Flex>
      ))}
    </Box>
  )
}

const Blank = ({ label }: { readonly label: string }) => (
  <Flex flex="1" gap="2" align="end">
    {label}
    <Box flex="1" borderBottom="1px solid #000" height="22px" />
  </Flex>
)
