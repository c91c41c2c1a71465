import { Box, Flex } from '@chakra-ui/react'
import { Tap } from '@/ui/Tap'
import { type Rehearsing, SPEEDS } from './useRehearsal'

/** Pause, step, how fast: by hand and by keys. */
export function RunControls({ run, planned }: { readonly run: Rehearsing; readonly planned: number }) {
  const { progress, playing, isDone } = run
  return (
    <Flex gap="2" wrap="wrap" align="center" role="group" aria-label="The simulated press" mb="3">
      <Box flex="none">
        <Tap onTap={playing ? run.pause : run.play}>{playing ? 'Pause' : isDone ? 'Done' : 'Run'}</Tap>
      </Box>
      <Box flex="none">
        <Tap onTap={() => void run.step(1)}>One piece</Tap>
      </Box>
      <Box flex="none">
        <Tap onTap={() => void run.step(10)}>Ten</Tap>
      </Box>
      {SPEEDS.map((speed) => (
        <Box key={speed} flex="none">
          <Tap
            chosen={speed === run.speed}
            onTap={() => run.setSpeed(speed)}
            label={`${speed} times as fast`}
          >
            {speed}×
          </Tap>
        </Box>
      ))}
      <Box ml="auto" fontSize="title" fontWeight="750" role="status" aria-label="Printed">
        {progress?.pieces ?? 0} of {planned}
      </Box>
    </Flex>
  )
}
