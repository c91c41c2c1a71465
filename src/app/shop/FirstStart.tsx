'use client'

import { Box, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { TEMPLATES } from '@/core/equipment'
import { Button, Fieldset, Input, Label, PageTitle } from '@/ui/elements'
import { RingDrawing } from '@/ui/RingDrawing'
import { TextButton } from '@/ui/Section'
import { useHydrated } from '@/ui/useHydrated'
import { act } from '../acts/act'
import { wrongIn } from '../acts/wrong'
import { Frame } from '../Frame'

/** The first thing a new shop sees: a name and a template. Everything can be changed later. */
export function FirstStart() {
  const router = useRouter()
  const [name, setName] = useState('')
  const [problem, setProblem] = useState('')
  const hydrated = useHydrated()
  const start = async (id: string) => {
    if (name.trim() === '') {
      document.getElementById('shop-name')?.focus()
      return setProblem('How is the shop called?')
    }
    const done = await act('setUpShop', { template: id, name: name.trim() })
    if (!done.ok) return setProblem(done.message)
    router.push('/shop')
    router.refresh()
  }
  return (
    <Frame shopName="">
      {/* What is typed before the page listens would be lost. */}
      <Fieldset border="none" minWidth="0" disabled={!hydrated}>
        <PageTitle>What stands in your shop?</PageTitle>
        <Box maxWidth="40rem" mt="2" mb="4">
          Name the shop and take what comes closest. Presses, frames, inks, hours and method can all be
          changed after.
        </Box>
        <Box mb="5" width="22rem">
          <Label htmlFor="shop-name" display="block" fontSize="small" color="soft">
            Name of the shop
          </Label>
          <Input
            id="shop-name"
            value={name}
            onChange={(e) => setName(e.target.value)}
            aria-invalid={problem !== ''}
            aria-describedby={problem ? 'shop-problem' : undefined}
            bg="raised"
            px="2"
            py="1.5"
            fontSize="lead"
            width="100%"
            borderBottom="2px solid"
            borderColor="ink"
          />
          {problem && (
            <Box id="shop-problem" role="alert" fontWeight="650" pt="1">
              {problem}
            </Box>
          )}
        </Box>
        {TEMPLATES.map((t) => (
          <Flex key={t.id} align="center" gap="6" py="3" borderTop="1px solid" borderColor="rule">
            <Flex gap="3" width="15rem" flex="none">
              {t.shelf.shop.presses.map((p) => (
                <RingDrawing key={p.id} press={p} shop={t.shelf.shop} size={104} />
              ))}
            </Flex>
            <Box flex="1">
              <Box fontSize="lead" fontWeight="700">
                {t.name}
              </Box>
              <Box color="soft">{t.says}</Box>
            </Box>
            <Button
              type="button"
              onClick={() => void start(t.id)}
              bg="ink"
              color="work"
              fontWeight="700"
              px="4"
              py="2"
              cursor="pointer"
              aria-label={`Start with ${t.name.toLowerCase()}`}
            >
              Start with this
            </Button>
          </Flex>
        ))}
        <Box borderTop="1px solid" borderColor="rule" pt="3" color="soft">
          Coming from another Orvint? <ArchiveButton />
        </Box>
      </Fieldset>
    </Frame>
  )
}

/** An archive brings the whole shop; here there is nothing yet that it could replace. */
function ArchiveButton() {
  const router = useRouter()
  const [problem, setProblem] = useState('')
  const take = async (file: File | undefined) => {
    if (!file) return
    const answer = await fetch('/api/archive', { method: 'POST', body: await file.text() })
    if (!answer.ok) return setProblem((await wrongIn(answer))[0] ?? 'Nothing was taken.')
    router.refresh()
  }
  return (
    <>
      <TextButton onClick={() => document.getElementById('archive')?.click()}>Open its archive</TextButton>
      <Input
        id="archive"
        type="file"
        accept=".json,application/json"
        aria-label="Archive file"
        display="none"
        onChange={(e) => void take(e.target.files?.[0])}
      />
      {problem && (
        <Box role="alert" fontWeight="650">
          {problem}
        </Box>
      )}
    </>
  )
}
