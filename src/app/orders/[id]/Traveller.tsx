'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { RunPlan } from '@/core/plan'
import { Link } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { useOrder } from './orderContext'
import { STAGE_NAMES, STAGES, type StageName, settledWords, stageOf } from './stages'

/** The rail of stages: where the order stands, and what each stage has settled. */
export function Traveller() {
  const { order, plan, stage, stagePath, decisions } = useOrder()
  const { units } = useSettings()
  const own = Object.keys(decisions?.overrides ?? {}).length + Object.keys(decisions?.method ?? {}).length
  return (
    <Box>
      <Box fontWeight="750" fontSize="lead">
        {order.id}
      </Box>
      <Box color="soft" fontSize="small" mb="2" truncate>
        {order.customer || 'New order'}
      </Box>
      <Box as="ol" listStyleType="none">
        {STAGE_NAMES.map((name, i) => {
          const here = name === stage
          return (
            <li key={name}>
              <Link
                href={stagePath(name)}
                aria-current={here ? 'step' : undefined}
                display="grid"
                gridTemplateColumns="1.4rem 1fr auto"
                py="1.5"
                borderTop="1px solid"
                borderColor="rule"
                bg={here ? 'work' : 'transparent'}
                mx="-4"
                px="4"
              >
                <Box as="span" color="soft">
                  {i + 1}
                </Box>
                <Box as="span">
                  <Box as="span" display="block" fontWeight={here ? '750' : '550'} lineHeight="1.2">
                    {STAGES[name].label}
                  </Box>
                  <Box as="span" display="block" fontSize="small" color="soft" truncate>
                    {settledWords(name, order, plan, units) || '–'}
                  </Box>
                </Box>
                <OpenHere plan={plan} stage={name} />
              </Link>
            </li>
          )
        })}
      </Box>
      {own > 0 && (
        <Flex fontSize="small" color="soft" pt="2" borderTop="1px solid" borderColor="rule">
          {own === 1 ? '1 choice of your own' : `${own} choices of your own`}
        </Flex>
      )}
    </Box>
  )
}

/** The worst thing still open at a stage. */
function OpenHere({ plan, stage }: { readonly plan: RunPlan | undefined; readonly stage: StageName }) {
  const worst = plan?.warnings.find((w) => w.severity !== 'Note' && stageOf(w) === stage)
  return worst?.severity ? <SeverityMark severity={worst.severity} word={false} /> : null
}
