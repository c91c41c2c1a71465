'use client'

import { Box, Flex } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { usePathname } from 'next/navigation'
import { type ReactNode, useMemo, useState } from 'react'
import { FormProvider, type Resolver, useForm } from 'react-hook-form'
import {
  type AnyPart,
  checkPart,
  partOf,
  SHOP_PARTS,
  type ShopAndShelf,
  shelfSchema,
  withPart,
} from '@/core/equipment'
import type { StoredShop } from '@/store/shop'
import { Fieldset, Link, PageTitle } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { useHydrated } from '@/ui/useHydrated'
import { AskFrame } from '../AskFrame'
import { ConflictPanel } from '../edits/ConflictPanel'
import { inLine } from '../edits/keeper'
import { type StoredPart, save } from '../edits/save'
import { SAVE_WORDS } from '../edits/saveWords'
import { unlocked } from '../edits/unlocked'
import { type FormPart, useAutosave } from '../edits/useAutosave'
import { ShopProvider } from './shopContext'

interface Props {
  readonly stored: StoredShop
  /** The pages that share the form. */
  readonly pages: readonly { readonly href: string; readonly label: string }[]
  readonly children: ReactNode
}

/** The shop on one desk: one form over all its pages, saved as it is typed. */
export function ShopDesk({ stored, pages, children }: Props) {
  const form = useForm<ShopAndShelf>({
    defaultValues: unlocked(stored.shelf),
    // The schema reads the same values that the form holds; the resolver's own types insist on exact inference.
    resolver: yupResolver(shelfSchema) as unknown as Resolver<ShopAndShelf>,
    mode: 'onChange',
  })
  const [altered, setAltered] = useState<readonly string[]>([])
  const [enqueue] = useState(inLine)
  const parts = useMemo(
    () =>
      SHOP_PARTS.map((part): FormPart<ShopAndShelf, AnyPart> => {
        const subject = { kind: 'shop', id: part } as const
        return {
          subject,
          read: { value: partOf(stored.shelf, part), version: stored.versions[part] },
          of: (shelf) => partOf(shelf, part),
          laid: withPart,
          check: (value) => checkPart(part, value),
          store: async (value, version) => {
            const saved = await save<StoredPart>(subject, value, version)
            if (saved.ok) setAltered(saved.altered ?? [])
            return saved
          },
        }
      }),
    [stored],
  )
  const saving = useAutosave(form, parts, true, enqueue)
  const shelf = saving.value
  const path = usePathname()
  const hydrated = useHydrated()
  return (
    <ShopProvider value={shelf}>
      <FormProvider {...form}>
        <AskFrame
          shopName={shelf.shop.name}
          rail={
            <Box as="ul" listStyleType="none">
              {pages.map((p) => (
                <li key={p.href}>
                  <Link
                    href={p.href}
                    aria-current={path === p.href ? 'page' : undefined}
                    display="block"
                    py="1.5"
                    borderTop="1px solid"
                    borderColor="rule"
                    fontWeight={path === p.href ? '700' : '450'}
                    bg={path === p.href ? 'work' : 'transparent'}
                    px="2"
                  >
                    {p.label}
                  </Link>
                </li>
              ))}
            </Box>
          }
        >
          {saving.conflicts.map((c) => (
            <ConflictPanel
              key={Object.keys(c.conflict.mine.shop).join()}
              conflict={c.conflict}
              onAgree={c.agree}
            />
          ))}
          <Flex align="baseline" gap="4" mb="3">
            <PageTitle>{(pages.find((p) => p.href === path) ?? pages[0])?.label}</PageTitle>
            <Box
              role="status"
              aria-label="Saving"
              ml="auto"
              fontSize="small"
              color="soft"
              fontWeight={saving.state === 'saved' ? '400' : '700'}
            >
              {saving.problem || SAVE_WORDS[saving.state]}
            </Box>
          </Flex>
          {altered.length > 0 && (
            <Box role="alert" bg="raised" px="4" py="2" mb="4">
              <SeverityMark severity="Watch" /> This changes the plan of{' '}
              {altered.length === 1 ? 'a released run' : `${altered.length} released runs`}:{' '}
              {altered.map((id, i) => (
                <span key={id}>
                  {i > 0 && ', '}
                  <Link
                    href={`/orders/O-${/^R-(\d+)/.exec(id)?.[1]}/run?run=${id}`}
                    textDecoration="underline"
                  >
                    {id}
                  </Link>
                </span>
              ))}
              . What was released stays as it is; release again to print from the new plan.
            </Box>
          )}
          {/* Nothing can be typed before the page listens, so nothing typed is lost. */}
          <Fieldset border="none" minWidth="0" disabled={!hydrated}>
            {children}
          </Fieldset>
        </AskFrame>
      </FormProvider>
    </ShopProvider>
  )
}
