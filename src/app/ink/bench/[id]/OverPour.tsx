'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { q } from '@/core/advice'
import type { BaseInk } from '@/core/equipment'
import { type Batch, type BenchPart, INK, offBy, restored, SMEAR } from '@/core/ink'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { SeverityMark } from '@/ui/Severity'

interface Props {
  readonly batch: Batch
  readonly over: BenchPart
  readonly rack: readonly BaseInk[]
  readonly onRestore: (wanted: number, out: number, keep: string | undefined) => void
}

/** Too much of a part is in: what each way out of it takes. */
export function OverPour({ batch, over, rack, onRestore }: Props) {
  const name = rack.find((i) => i.code === over.code)?.name ?? over.code
  const { parts, poured } = batch
  // Left as it is: the parts still to come are poured as meant.
  const left = Object.fromEntries(
    parts.map((p) => [p.code, Math.max(poured[p.code] ?? 0, p.share * batch.wanted)]),
  )
  const off = offBy(parts, left, rack, SMEAR)
  const exact = restored(parts, poured, rack)
  const near = restored(parts, poured, rack, 0.05)
  const leftTotal = Object.values(left).reduce((a, b) => a + b, 0)
  const nearOff =
    near &&
    offBy(
      parts,
      Object.fromEntries(parts.map((p) => [p.code, (poured[p.code] ?? 0) + (near.add[p.code] ?? 0)])),
      rack,
      SMEAR,
    )
  const ways = [
    ...(exact ? [{ id: 'exact', label: 'Restore it exactly', ...exact, off: 0, keep: undefined }] : []),
    ...(near && nearOff !== undefined && exact && near.total < exact.total - 1e-4
      ? [{ id: 'near', label: 'Restore it to within 5\u00a0%', ...near, off: nearOff, keep: over.code }]
      : []),
    { id: 'leave', label: 'Leave it as it is', total: leftTotal, out: 0, cost: 0, off, keep: over.code },
  ]
  return (
    <Box role="alert">
      <Flex gap="3" align="baseline" fontSize="figure" mb="2" wrap="wrap">
        <SeverityMark severity="Watch" />
        <Box>
          <Measure kind="dose" value={-over.left} /> too much <b>{name}</b> is in.
        </Box>
      </Flex>
      <Grid
        templateColumns="minmax(11rem, 1.2fr) 1fr 1fr 1fr auto"
        rowGap="2"
        columnGap="4"
        alignItems="center"
      >
        {['', 'batch then', 'for more ink', 'colour ΔE', ''].map((head, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: heads never move
          <Box key={i} fontSize="small" color="soft">
            {head}
          </Box>
        ))}
        {ways.map((way, i) => (
          <Box key={way.id} display="contents">
            <Box fontSize="lead" fontWeight="650">
              {way.label}
              {way.out > 0 && (
                <Box fontSize="small" fontWeight="450">
                  after taking out {Math.round(way.out * 100)} % of it, stirred
                </Box>
              )}
            </Box>
            <Box fontSize="figure" fontWeight="650">
              <AskNumber
                label={`Batch, ${way.label.toLowerCase()}`}
                reasons={[
                  INK.because('OVERPOUR', {
                    over: q('dose', -over.left),
                    part: name,
                    total: q('mass', way.total),
                  }),
                ]}
              >
                <Measure kind="mass" value={way.total} />
              </AskNumber>
            </Box>
            <Box fontSize="lead">
              <Measure kind="money" value={way.cost} />
            </Box>
            <Box fontSize="lead">
              {way.off === undefined ? (
                'unknown'
              ) : (
                <AskNumber
                  label={`Colour, ${way.label.toLowerCase()}`}
                  reasons={[INK.because('OVERPOUR_ACCEPT', { difference: q('difference', way.off) })]}
                >
                  <Measure kind="difference" value={way.off} />
                </AskNumber>
              )}
            </Box>
            <PushButton
              type="button"
              autoFocus={i === 0}
              minHeight="3.2rem"
              aria-label={way.label}
              onClick={() => onRestore(way.id === 'leave' ? batch.wanted : way.total, way.out, way.keep)}
            >
              Do this
            </PushButton>
          </Box>
        ))}
      </Grid>
    </Box>
  )
}
