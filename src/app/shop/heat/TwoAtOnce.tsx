import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { CureJob, SharedBelt } from '@/core/plan'
import { AskNumber } from '@/ui/AskNumber'
import { Pick } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { Folded } from '@/ui/Section'
import { Told } from '@/ui/Told'
import { act } from '../../acts/act'

/** Two jobs through one tunnel at the same time: at which belt, or why not. */
export function TwoAtOnce({
  dryerId,
  jobs,
}: {
  readonly dryerId: string
  readonly jobs: readonly CureJob[]
}) {
  const [chosen, setChosen] = useState<readonly [string, string]>(['', ''])
  const [found, setFound] = useState<SharedBelt>()
  const [said, setSaid] = useState('')
  const pick = async (at: 0 | 1, id: string) => {
    const next = at === 0 ? ([id, chosen[1]] as const) : ([chosen[0], id] as const)
    setChosen(next)
    setFound(undefined)
    setSaid('')
    if (next.includes('') || next[0] === next[1]) return
    setSaid('Working it out …')
    const answer = await act('shareBelt', { runs: [...next], dryer: dryerId })
    setSaid(answer.ok ? '' : answer.message)
    if (answer.ok) setFound(answer.shared)
  }
  const options = (other: string) => [
    { id: '', name: 'choose a run' },
    ...jobs.filter((j) => j.runId !== other).map((j) => ({ id: j.runId, name: `${j.runId} ${j.words}` })),
  ]
  return (
    <Folded title="Two jobs at once" says="one belt speed for both, or why not">
      <Flex gap="5" rowGap="3" wrap="wrap" mb="3">
        {([0, 1] as const).map((at) => (
          <Box key={at} flex="1 1 14rem" maxWidth="24rem">
            <Pick
              label={at === 0 ? 'One job' : 'and another'}
              value={chosen[at]}
              options={options(chosen[at === 0 ? 1 : 0])}
              onPick={(id) => void pick(at, id)}
            />
          </Box>
        ))}
        {found?.belt !== undefined && (
          <Box>
            <Box fontSize="small" color="soft">
              Belt for both
            </Box>
            <Box fontSize="title" fontWeight="700" lineHeight="1.1">
              <AskNumber label="Belt for both" reasons={found.reasons}>
                <Measure kind="beltSpeed" value={found.belt} />
              </AskNumber>
            </Box>
          </Box>
        )}
      </Flex>
      <Box role="status" aria-label="Two jobs at once" minHeight="2rem">
        {said}
        {found && <Told reasons={found.reasons} />}
      </Box>
    </Folded>
  )
}
