import { Box, Flex, Grid } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { TrialPlan } from '@/core/rehearsal'
import type { RemedyId } from '@/core/trouble'
import { TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { Tap } from '@/ui/Tap'
import { remedyWords } from '@/ui/trouble/words'
import type { Rehearsing } from './useRehearsal'

/** What can be changed while it runs; each does what it would do at a press, side effects and all. */
const CHANGES: readonly RemedyId[] = [
  'flashLonger',
  'flashShorter',
  'coolLonger',
  'coolBoards',
  'morePressure',
  'lessPressure',
  'slower',
  'floodFull',
  'flashBetween',
  'reInk',
  'newTack',
  'wipeBack',
  'beltSlower',
  'beltFaster',
  'smooth',
]

const OF_FLASH: readonly RemedyId[] = ['flashLonger', 'flashShorter', 'coolLonger', 'smooth']

/** Settings changed while the simulated press runs: what follows is seen on the next pieces. */
export function TryIt({ run, trial }: { readonly run: Rehearsing; readonly trial: TrialPlan }) {
  const { units } = useSettings()
  const [screen, setScreen] = useState(0)
  const [done, setDone] = useState<readonly string[]>([])
  const begun = useRef(false)
  const { begin } = run
  const again = async () => {
    setDone([])
    await begin([], 1)
  }
  useEffect(() => {
    if (begun.current) return
    begun.current = true
    void begin([], 1)
  }, [begin])
  const change = async (remedy: RemedyId) => {
    await run.turn(remedy, screen)
    setDone((now) => [
      ...now,
      `After piece ${run.progress?.pieces ?? 0}: ${remedyWords(remedy, units).toLowerCase()}`,
    ])
    await run.step(1)
  }
  return (
    <Box>
      <Flex role="group" aria-label="On which screen" gap="2" wrap="wrap" mb="3">
        {trial.screens.map((s, i) => (
          <Box key={s.id} flex="none">
            <Tap chosen={i === screen} onTap={() => setScreen(i)}>
              {s.name}
            </Tap>
          </Box>
        ))}
      </Flex>
      <Grid
        role="group"
        aria-label="Change"
        templateColumns="repeat(auto-fill, minmax(10rem, 1fr))"
        gap="2"
        mb="3"
      >
        {CHANGES.filter((c) => trial.flashes.length > 0 || !OF_FLASH.includes(c)).map((remedy) => (
          <Tap key={remedy} onTap={() => void change(remedy)}>
            {remedyWords(remedy, units)}
          </Tap>
        ))}
      </Grid>
      <Box as="ol" aria-label="Changed so far" listStyleType="none">
        {done.map((d, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same may be done twice
          <Box as="li" key={i} py="1" borderTop="1px solid" borderColor="rule">
            {d}
          </Box>
        ))}
      </Box>
      <TextButton onClick={() => void again()}>Begin again, as planned</TextButton>
    </Box>
  )
}
