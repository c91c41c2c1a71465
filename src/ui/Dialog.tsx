'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { type ReactNode, useEffect, useId, useRef } from 'react'
import { Button } from './elements'

const Native = chakra('dialog')

interface DialogProps {
  readonly title: string
  readonly onClose: () => void
  readonly children: ReactNode
  readonly width?: string
  readonly top?: string
}

/** A window over the page. The browser keeps the focus inside, closes on Escape and gives the focus back. */
export function Dialog({ title, onClose, children, width = '34rem', top = '14vh' }: DialogProps) {
  const dialog = useRef<HTMLDialogElement>(null)
  const id = useId()
  useEffect(() => {
    const el = dialog.current
    const before = document.activeElement
    el?.showModal()
    el?.querySelector<HTMLElement>('[data-first]')?.focus()
    return () => {
      el?.close()
      if (before instanceof HTMLElement && before.isConnected) before.focus()
    }
  }, [])
  return (
    <Native
      ref={dialog}
      aria-labelledby={id}
      onCancel={(e) => {
        e.preventDefault()
        onClose()
      }}
      onClick={(e) => e.target === e.currentTarget && onClose()}
      width={width}
      maxWidth="92vw"
      maxHeight="76vh"
      mx="auto"
      mt={top}
      p="0"
      overflow="hidden"
      boxShadow="0 0 0 2px {colors.ink}"
    >
      <Flex direction="column" maxHeight="76vh" px="5" py="4">
        <Box as="h2" id={id} fontSize="lead" fontWeight="700" mb="2">
          {title}
        </Box>
        {children}
      </Flex>
    </Native>
  )
}

interface AskProps {
  readonly title: string
  /** What the button does, in a word or two. */
  readonly yes: string
  readonly onYes: () => void
  readonly onNo: () => void
  readonly children: ReactNode
}

/** Asks before something that undo does not take back. */
export function AskFirst({ title, yes, onYes, onNo, children }: AskProps) {
  return (
    <Dialog title={title} onClose={onNo}>
      <Box overflowY="auto">{children}</Box>
      <Flex gap="5" mt="4" justify="flex-end">
        <Button type="button" onClick={onNo} textDecoration="underline" cursor="pointer" px="2">
          Not now
        </Button>
        <Button
          type="button"
          onClick={onYes}
          bg="ink"
          color="work"
          fontWeight="700"
          px="4"
          py="1.5"
          cursor="pointer"
          data-first
        >
          {yes}
        </Button>
      </Flex>
    </Dialog>
  )
}
