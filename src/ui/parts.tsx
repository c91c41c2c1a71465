'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { ChoiceAdvice, NumberAdvice } from '@/core/advice'
import { AdviceChoice, AdviceNumber } from './AdviceValue'
import { Swatch } from './Swatch'
import type { TypeSize } from './system'

/** An ink or screen by its colour and name. */
export function InkName({ hex, name }: { readonly hex: string; readonly name: string }) {
  return (
    <Flex gap="2" align="center">
      <Swatch hex={hex} /> <Box fontWeight="600">{name}</Box>
    </Flex>
  )
}

/** What matters most at a stage: large, under its name. */
export function Headline({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box>
      <Box fontSize="small" color="soft">
        {label}
      </Box>
      <Box fontSize="figure" fontWeight="650" lineHeight="1.15">
        {children}
      </Box>
    </Box>
  )
}

/** An advised number as a headline. */
export function Figure({ advice, label }: { readonly advice: NumberAdvice; readonly label?: string }) {
  return (
    <Headline label={label ?? advice.label}>
      <AdviceNumber advice={advice} size="figure" />
    </Headline>
  )
}

/** An advised choice under its name, somewhat large. */
export function ChoiceFigure({
  advice,
  size = 'lead',
}: {
  readonly advice: ChoiceAdvice
  readonly size?: TypeSize
}) {
  return (
    <Box>
      <Box fontSize="small" color="soft">
        {advice.label}
      </Box>
      <AdviceChoice advice={advice} size={size} />
    </Box>
  )
}
