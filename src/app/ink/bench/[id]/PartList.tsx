import { Box } from '@chakra-ui/react'
import type { BaseInk } from '@/core/equipment'
import type { Bench, BenchPart } from '@/core/ink'
import { Measure } from '@/ui/Measure'

const WORDS: Readonly<Record<BenchPart['state'], string>> = {
  right: 'in',
  now: 'now',
  later: '',
  over: 'too much',
}

/** The parts in the order in which they are poured, with how far each is. */
export function PartList({
  bench,
  rack,
  mixing,
}: {
  readonly bench: Bench
  readonly rack: readonly BaseInk[]
  readonly mixing: boolean
}) {
  return (
    <Box as="ol" listStyleType="none" aria-label="Parts">
      {bench.parts.map((p) => (
        <Box
          as="li"
          key={p.code}
          borderTop="1px solid"
          borderColor="rule"
          py="2"
          px="2"
          bg={mixing && p.state === 'now' ? 'raised' : 'transparent'}
        >
          <Box display="flex" justifyContent="space-between" fontWeight="650" fontSize="lead">
            <span>
              {rack.find((i) => i.code === p.code)?.name ?? p.code}{' '}
              <Box as="span" fontWeight="400">
                {p.code}
              </Box>
            </span>
            <Measure kind="dose" value={p.wanted} />
          </Box>
          <Box display="flex" justifyContent="space-between" color="soft" fontSize="small">
            <span>{(p.share * 100).toFixed(1)} %</span>
            <span>
              {WORDS[p.state]} {p.have > 0 && <Measure kind="dose" value={p.have} />}
            </span>
          </Box>
        </Box>
      ))}
    </Box>
  )
}
