'use client'

import { Box, Flex } from '@chakra-ui/react'
import { type FormEvent, useState } from 'react'
import type { BaseInk } from '@/core/equipment'
import { type Can, isCanOf, lookAlike, lookAlikes } from '@/core/ink'
import { Input, Label } from '@/ui/elements'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { SeverityMark } from '@/ui/Severity'

interface Props {
  readonly ink: BaseInk
  readonly rack: readonly BaseInk[]
  readonly cans: readonly Can[]
  readonly onRight: (can: Can) => void
}

/** The name with the character in which it differs from another one marked. */
function Marked({ text, at }: { readonly text: string; readonly at: number | undefined }) {
  if (at === undefined) return text
  return (
    <>
      {text.slice(0, at)}
      <Box as="mark" bg="ink" color="work" px="0.5">
        {text.slice(at, at + 1) || '\u00a0'}
      </Box>
      {text.slice(at + 1)}
    </>
  )
}

/** Which can to fetch, and a place to type or scan what stands on the one in hand: nothing is poured from another. */
export function CanCheck({ ink, rack, cans, onRight }: Props) {
  const [typed, setTyped] = useState('')
  const [wrong, setWrong] = useState<BaseInk | string>()
  const own = cans.filter((c) => c.code === ink.code && c.mass > 0)
  const alike = lookAlikes(ink, rack)
  const check = (e: FormEvent) => {
    e.preventDefault()
    const can = own.find((c) => isCanOf(typed, c.id, own.length === 1 ? ink.code : c.id))
    if (can) return onRight(can)
    const other = cans.find((c) => isCanOf(typed, c.id, c.code))
    const name = typed.trim()
    const of = rack.find((i) => i.code === (other?.code ?? name.toUpperCase()))
    setWrong(of && of.code !== ink.code ? of : name)
    setTyped('')
  }
  return (
    <Box>
      <Box fontSize="lead">Fetch the can of</Box>
      <Box fontSize={{ base: 'big', lg: 'huge' }} fontWeight="750" lineHeight="1.1">
        {ink.name}{' '}
        <Box as="span" fontWeight="450">
          {ink.code}
        </Box>
      </Box>
      <Box color="soft" mb="3">
        {own.length === 0
          ? 'No can of it is booked in: put one on the rack first.'
          : own.map((c) => (
              <Box as="span" key={c.id} mr="4">
                <b>{c.id}</b> lot {c.lot}, <Measure kind="mass" value={c.mass} />,{' '}
                {c.opened ? 'open' : 'closed'}
              </Box>
            ))}
      </Box>
      {alike.length > 0 && (
        <Box mb="3">
          <SeverityMark severity="Watch" /> Not to be taken for{' '}
          {alike.map((other, i) => {
            const at = lookAlike(other.name, ink.name)
            return (
              <span key={other.code}>
                {i > 0 && ', '}
                <b>
                  <Marked text={other.name} at={at} />{' '}
                  <Marked
                    text={other.code}
                    at={at === undefined ? lookAlike(other.code, ink.code) : undefined}
                  />
                </b>
              </span>
            )
          })}
          .
        </Box>
      )}
      <form onSubmit={check}>
        <Flex gap="3" align="end" wrap="wrap">
          <Box>
            <Label htmlFor="can" display="block" mb="1">
              Scan the can, or type its number
            </Label>
            <Input
              id="can"
              display="block"
              // The bench is worked with gloves on: where to type is where the next thing happens.
              autoFocus
              autoComplete="off"
              value={typed}
              onChange={(e) => setTyped(e.target.value)}
              fontSize="figure"
              width="14rem"
              bg="raised"
              px="3"
              py="1.5"
              borderBottom="2px solid"
              borderColor="ink"
            />
          </Box>
          <PushButton type="submit" minHeight="3.6rem" fontSize="lead">
            This can
          </PushButton>
        </Flex>
      </form>
      {wrong !== undefined && (
        <Box role="alert" mt="3" fontSize="lead">
          <SeverityMark severity="Stop" />{' '}
          {typeof wrong === 'string' ? (
            wrong === '' ? (
              'Nothing was typed.'
            ) : (
              <>
                There is no can <b>{wrong}</b> of {ink.name}.
              </>
            )
          ) : (
            <>
              That is{' '}
              <b>
                <Marked text={wrong.name} at={lookAlike(wrong.name, ink.name)} />
              </b>{' '}
              {wrong.code}; <b>{ink.name}</b> {ink.code} is wanted. Nothing was poured.
            </>
          )}
        </Box>
      )}
    </Box>
  )
}
