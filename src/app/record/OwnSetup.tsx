import { Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { type Account, setupPerScreen } from '@/core/plan'
import { minutes } from '@/core/quantity'
import { TextButton } from '@/ui/Section'
import { act } from '../acts/act'

/** What is planned for a screen where the shop says nothing. */
const USUAL = minutes(6.5)

/** Half a minute a screen is worth telling. */
const say = (seconds: number) => `${(seconds / 60).toFixed(1)} min`

/** Set-up of a screen as it was logged, and one tap to plan with it, or with what is usual again. */
export function OwnSetup({
  accounts,
  planned,
}: {
  readonly accounts: readonly Account[]
  readonly planned: number | undefined
}) {
  const [problem, setProblem] = useState('')
  const logged = setupPerScreen(accounts)
  const plan = async (perScreen?: number) => {
    const answer = await act('planSetup', { perScreen })
    setProblem(answer.ok ? '' : answer.message)
  }
  if (logged === undefined && planned === undefined) return null
  return (
    <Flex gap="4" align="baseline" wrap="wrap" mb="5">
      <span>
        {logged !== undefined && (
          <>
            A screen took <b className="num">{say(logged)}</b> to set up in these runs;{' '}
          </>
        )}
        plans count {say(planned ?? USUAL)}
        {planned === undefined ? ', as is usual.' : ', as this shop logged it.'}
      </span>
      {logged !== undefined && Math.round(logged) !== Math.round(planned ?? 0) && (
        <TextButton onClick={() => void plan(Math.round(logged))}>Plan with {say(logged)}</TextButton>
      )}
      {planned !== undefined && <TextButton onClick={() => void plan()}>Plan as is usual</TextButton>}
      {problem && <span role="alert">{problem}</span>}
    </Flex>
  )
}
