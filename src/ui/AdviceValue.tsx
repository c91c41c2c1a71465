'use client'

import { Box, Flex } from '@chakra-ui/react'
import { Undo2 } from 'lucide-react'
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react'
import { type Advice, type ChoiceAdvice, type NumberAdvice, numberOf, settled } from '@/core/advice'
import { choiceProblem } from '@/core/plan'
import { parseQuantity, writeQuantity } from '@/core/quantity'
import { useDesk } from './desk'
import { Button, Input } from './elements'
import { Measure } from './Measure'
import { Select } from './Select'
import { useSettings } from './settings'
import type { TypeSize } from './system'
import { Unseen } from './Unseen'

/** Keys every value understands: `w` asks why, Backspace takes the lead's choice back. */
function useValueKeys(advice: Advice) {
  const { ask, takeBack } = useDesk()
  return (e: KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey) return
    if (e.key === 'w') ask(advice)
    else if (e.key === 'Backspace' || e.key === 'Delete') takeBack(advice.key)
    else return
    e.preventDefault()
    e.stopPropagation()
  }
}

/** The advice beside the lead's own choice, and the way back. */
function OwnChoice({ advice, words }: { readonly advice: Advice; readonly words: string }) {
  const { takeBack } = useDesk()
  if (advice.chosen === undefined) return null
  return (
    <Flex
      as="span"
      display="inline-flex"
      align="center"
      gap="1"
      fontSize="small"
      color="soft"
      whiteSpace="nowrap"
    >
      advised {words}
      <Button
        type="button"
        onClick={() => takeBack(advice.key)}
        aria-label={`${advice.label}: take back, advised ${words}`}
        title="Take back (Backspace)"
        p="1"
        cursor="pointer"
      >
        <Undo2 size={13} aria-hidden="true" />
      </Button>
    </Flex>
  )
}

export interface SizeProps {
  /** Size of the number; the one that matters most on a page is the largest. */
  readonly size?: TypeSize
}

/** A computed number: press Enter or click to override it in any unit. */
export function AdviceNumber({ advice, size = 'body' }: SizeProps & { readonly advice: NumberAdvice }) {
  const { ask, override } = useDesk()
  const { units } = useSettings()
  const keys = useValueKeys(advice)
  const [text, setText] = useState<string>()
  const [problem, setProblem] = useState('')
  const button = useRef<HTMLButtonElement>(null)
  const own = advice.chosen !== undefined
  const close = (refocus: boolean) => {
    setText(undefined)
    setProblem('')
    if (refocus) requestAnimationFrame(() => button.current?.focus())
  }
  const commit = (refocus: boolean) => {
    const before = writeQuantity(advice.kind, numberOf(advice), units)
    if (text === undefined || text.trim() === before) return close(refocus)
    const read = parseQuantity(advice.kind, text, units)
    if (!read.ok) return setProblem(read.message)
    const impossible = choiceProblem(advice.key, read.value, units)
    if (impossible) return setProblem(impossible)
    override(advice.key, read.value)
    close(refocus)
  }
  const onKeys = (e: KeyboardEvent) => {
    e.stopPropagation()
    if (e.key === 'Escape') close(true)
    if (e.key === 'Enter') commit(true)
  }
  const id = `why-${advice.key}`
  return (
    <Flex as="span" display="inline-flex" align="baseline" gap="2" wrap="wrap">
      {text === undefined ? (
        <Button
          ref={button}
          type="button"
          aria-label={`${advice.label}: ${writeQuantity(advice.kind, numberOf(advice), units)}${own ? ', your choice' : ''}`}
          data-advice={advice.key}
          onKeyDown={keys}
          onClick={() => {
            ask(advice, 'touched')
            setText(writeQuantity(advice.kind, numberOf(advice), units))
          }}
          fontSize={size}
          fontWeight="650"
          lineHeight="1.15"
          cursor="text"
          textAlign="right"
          borderBottom={own ? '2px solid' : '1px dotted'}
          borderColor={own ? 'ink' : 'soft'}
        >
          <Measure kind={advice.kind} value={numberOf(advice)} />
        </Button>
      ) : (
        <TextBox
          label={advice.label}
          text={text}
          problem={problem}
          problemId={id}
          size={size}
          onText={setText}
          onKeys={onKeys}
          onLeave={() => (problem ? close(false) : commit(false))}
        />
      )}
      <OwnChoice advice={advice} words={writeQuantity(advice.kind, advice.advised, units)} />
    </Flex>
  )
}

interface TextBoxProps {
  readonly label: string
  readonly text: string
  readonly problem: string
  readonly problemId: string
  readonly size: TypeSize
  readonly onText: (text: string) => void
  readonly onKeys: (e: KeyboardEvent) => void
  readonly onLeave: () => void
}

function TextBox({ label, text, problem, problemId, size, onText, onKeys, onLeave }: TextBoxProps) {
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => input.current?.select(), [])
  return (
    <Box as="span" position="relative" display="inline-block">
      <Input
        ref={input}
        aria-label={label}
        aria-invalid={problem !== ''}
        aria-describedby={problem ? problemId : undefined}
        value={text}
        onChange={(e) => onText(e.target.value)}
        onKeyDown={onKeys}
        onBlur={onLeave}
        fontSize={size}
        fontWeight="650"
        width={`${Math.max(7, text.length + 2)}ch`}
        bg="raised"
        borderBottom="2px solid"
        borderColor="ink"
        px="1"
      />
      {problem && (
        <Box
          id={problemId}
          role="alert"
          position="absolute"
          left="0"
          top="calc(100% + 4px)"
          zIndex="5"
          width="17rem"
          bg="ink"
          color="work"
          fontSize="small"
          px="2"
          py="1"
        >
          {problem}
        </Box>
      )}
    </Box>
  )
}

/** A computed choice among options; the advised one is marked. */
export function AdviceChoice({ advice, size = 'body' }: SizeProps & { readonly advice: ChoiceAdvice }) {
  const { ask, override, takeBack } = useDesk()
  const keys = useValueKeys(advice)
  const label = (value: string) => advice.choices.find((c) => c.value === value)?.label ?? value
  const own = advice.chosen !== undefined
  return (
    <Flex as="span" display="inline-flex" align="baseline" gap="2" wrap="wrap">
      <Select
        aria-label={advice.label}
        data-advice={advice.key}
        value={String(settled(advice))}
        onKeyDown={keys}
        onFocus={() => ask(advice, 'passing')}
        onMouseDown={() => ask(advice, 'touched')}
        onChange={(e) =>
          e.target.value === advice.advised ? takeBack(advice.key) : override(advice.key, e.target.value)
        }
        fontSize={size}
        fontWeight="600"
        own={own}
      >
        {advice.choices.map((c) => (
          <option key={c.value} value={c.value}>
            {c.label}
          </option>
        ))}
      </Select>
      <OwnChoice advice={advice} words={label(advice.advised)} />
    </Flex>
  )
}

/** A computed value that only answers why. */
export function AskButton({ advice, children }: { readonly advice: Advice; readonly children: ReactNode }) {
  const { ask } = useDesk()
  return (
    <Button
      type="button"
      data-advice={advice.key}
      onClick={() => ask(advice)}
      onKeyDown={useValueKeys(advice)}
      cursor="help"
      textAlign="inherit"
    >
      <Unseen label={advice.label} />
      {children}
    </Button>
  )
}
