'use client'

import { Box, Flex } from '@chakra-ui/react'
import { isOffPress, ORDER_STATES } from '@/core/order'
import type { RunPlan } from '@/core/plan'
import { Day } from '@/ui/day'
import { Link } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { useSettings } from '@/ui/settings'
import { useOrder } from './orderContext'
import { Reorder } from './Reorder'
import { STAGE_NAMES, STAGES, type StageName, settledWords, stageOf } from './stages'

interface TravellerProps {
  /** The stage that was asked for. */
  readonly going: StageName
  readonly onGo: (stage: StageName) => void
  /** How saving stands, in words, and whether all is stored. */
  readonly saved: { readonly words: string; readonly all: boolean }
}

/** The order in hand, then the rail of stages: where the order stands, and what each stage has settled. */
export function Traveller({ going, onGo, saved }: TravellerProps) {
  const { order, state, plan, stage, stagePath, decisions } = useOrder()
  const { units } = useSettings()
  const own = Object.keys(decisions?.overrides ?? {}).length + Object.keys(decisions?.method ?? {}).length
  return (
    <Box>
      <Flex align="baseline" gap="3">
        <Box fontWeight="750" fontSize="lead">
          {order.id}
        </Box>
        <Box
          role="status"
          aria-label="Saving"
          ml="auto"
          fontSize="small"
          color={saved.all ? 'soft' : 'ink'}
          fontWeight={saved.all ? '400' : '700'}
        >
          {saved.words}
        </Box>
      </Flex>
      <Box fontSize="small" fontWeight="600" lineClamp={2}>
        {[order.customer, order.title].filter(Boolean).join(', ') || 'New order'}
      </Box>
      <Flex align="baseline" columnGap="3" wrap="wrap" fontSize="small" mb="2">
        <Box color="soft">
          due <Day at={order.due} />
        </Box>
        <Link href={stagePath('order')} fontWeight="650" _hover={{ textDecoration: 'underline' }}>
          {ORDER_STATES[state].toLowerCase()}
        </Link>
        {isOffPress(state) && <Reorder id={order.id} as="reorder" />}
      </Flex>
      <Box
        as="ol"
        listStyleType="none"
        display={{ base: 'flex', md: 'block' }}
        overflowX={{ base: 'auto', md: 'visible' }}
        position="relative"
        mx={{ base: '-4', md: '0' }}
      >
        {STAGE_NAMES.map((name, i) => {
          const here = name === going
          return (
            <Box as="li" key={name} flex="none">
              <Link
                href={stagePath(name)}
                onNavigate={(e) => {
                  e.preventDefault()
                  onGo(name)
                }}
                aria-current={name === stage ? 'step' : undefined}
                display="grid"
                gridTemplateColumns={{ base: 'auto 1fr auto', md: '1.4rem 1fr auto' }}
                gap={{ base: '1.5', md: '0' }}
                py={{ base: '2', md: '1.5' }}
                borderTop="1px solid"
                borderColor="rule"
                bg={here ? 'work' : 'transparent'}
                mx={{ base: '0', md: '-4' }}
                px={{ base: '3', md: '4' }}
              >
                <Box as="span" color="soft">
                  {i + 1}
                </Box>
                <Box as="span">
                  <Box as="span" display="block" fontWeight={here ? '750' : '550'} lineHeight="1.2">
                    {STAGES[name].label}
                  </Box>
                  <Box
                    as="span"
                    display={{ base: 'none', md: 'block' }}
                    fontSize="small"
                    color="soft"
                    truncate
                  >
                    {settledWords(name, order, plan, units) || '–'}
                  </Box>
                </Box>
                <OpenHere plan={plan} stage={name} />
              </Link>
            </Box>
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
