import { Box, Flex } from '@chakra-ui/react'
import { numberOf, q } from '@/core/advice'
import { hexOf, hexOfLab } from '@/core/color'
import { PLAN } from '@/core/plan'
import type { RunTime } from '@/core/rate'
import { momentOf } from '@/core/schedule'
import { AskNumber } from '@/ui/AskNumber'
import { useNow } from '@/ui/clock'
import { Link } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { InkName } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { PotLife } from '../../../ink/PotLife'
import { useOrder } from '../orderContext'

/** Ink mixed for the run, how long it stays workable, and whether the run fits into that. */
export function InkAtPress({ time }: { readonly time: RunTime | undefined }) {
  const { tubs } = useOrder()
  const now = useNow()
  if (tubs.length === 0) return null
  const takes = time && numberOf(time.total)
  return (
    <Section title="Ink mixed for it">
      {tubs.map((t) => {
        const last = t.drawdowns.at(-1)
        const left = t.expires !== undefined && now !== undefined ? momentOf(t.expires) - now : undefined
        return (
          <Flex key={t.id} gap="5" py="1" align="center" borderTop="1px solid" borderColor="rule" wrap="wrap">
            <Box width="13rem">
              <InkName hex={last ? hexOf(last.onWhite) : hexOfLab(t.target)} name={t.name} />
            </Box>
            <Link href={`/ink/bench/${t.id}`} fontWeight="700" textDecoration="underline">
              {t.id}
            </Link>
            <Box fontSize="lead" fontWeight="650">
              <AskNumber
                label={`In ${t.id}`}
                reasons={[PLAN.because('LEDGER', { value: q('mass', t.mass) })]}
              >
                <Measure kind="mass" value={t.mass} />
              </AskNumber>
            </Box>
            <Box color="soft">
              {t.state === 'accepted' ? 'drawdown accepted' : 'no drawdown accepted yet'}
            </Box>
            <Box fontSize="lead">
              <PotLife expires={t.expires} />
            </Box>
            {left !== undefined && takes !== undefined && left > 0 && left < takes && (
              <Box>
                <SeverityMark severity="Watch" /> The run takes longer than that: mix it again on the way, in
                the same hour.
              </Box>
            )}
          </Flex>
        )
      })}
    </Section>
  )
}
