'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { q } from '@/core/advice'
import { difference, hexOf, hexOfLab, labOf, takeCurve } from '@/core/color'
import type { BaseInk } from '@/core/equipment'
import { type Batch, INK, type PastBatch, verdictOf } from '@/core/ink'
import type { Mass } from '@/core/quantity'
import { simulatedReader } from '@/devices/reader'
import { trueSmear } from '@/devices/simulatedTub'
import { AskNumber } from '@/ui/AskNumber'
import { localNow } from '@/ui/clock'
import { TextInput } from '@/ui/given'
import { Measure } from '@/ui/Measure'
import { PushButton } from '@/ui/PushButton'
import { SeverityMark } from '@/ui/Severity'
import { Swatch } from '@/ui/Swatch'
import { useAsPrinted } from '@/ui/settings'
import { act } from '../../../acts/act'
import { useShop } from '../../../shop/shopContext'
import { Mend } from './Mend'
import { type Does, Drawdowns, Tub } from './Tub'

const Anchor = chakra('a')

interface Props {
  readonly batch: Batch
  /** The first batch of that colour that was accepted, if it is another. */
  readonly sample: PastBatch | undefined
  readonly rack: readonly BaseInk[]
  readonly onMend: (additions: readonly { readonly code: string; readonly mass: Mass }[]) => void
  readonly onDo: Does
}

const seedOf = (id: string) => Number(id.slice(2)) || 1

/** The drawdown of a mixed batch: read, judged, accepted or mended; and what becomes of the tub. */
export function Proof({ batch, sample, rack, onMend, onDo }: Props) {
  const asPrinted = useAsPrinted()
  const { limits } = useShop().shop.inkRoom
  const [who, setWho] = useState('')
  const [busy, setBusy] = useState(false)
  const last = batch.drawdowns.at(-1)
  const accepted = batch.state === 'accepted'
  const read = async () => {
    setBusy(true)
    await onDo(async () => {
      const smear = trueSmear(batch.poured, rack, seedOf(batch.id))
      if (!smear) return { ok: false, message: 'There is nothing in the tub to draw down.' }
      const seed = seedOf(batch.id) + 100 * batch.drawdowns.length
      const curves = [smear.onWhite, smear.onBlack].map((s, i) => simulatedReader(() => s, seed + i))
      const taken = await Promise.all(curves.map(async (r) => takeCurve(await r.read())))
      const [white, black] = taken
      if (!white?.ok) return { ok: false, message: white?.message ?? '' }
      if (!black?.ok) return { ok: false, message: black?.message ?? '' }
      return act('addDrawdown', {
        batchId: batch.id,
        drawdown: {
          at: localNow(),
          onWhite: [...white.spectrum],
          onBlack: [...black.spectrum],
          difference: difference(labOf(white.spectrum), batch.target),
          verdict: 'read',
          who: '',
        },
      })
    })
    setBusy(false)
  }
  const judge = (verdict: 'accepted' | 'refused') =>
    last &&
    onDo(() =>
      act('addDrawdown', {
        batchId: batch.id,
        drawdown: {
          ...last,
          onWhite: [...last.onWhite],
          onBlack: [...last.onBlack],
          at: localNow(),
          verdict,
          who: who.trim(),
        },
      }),
    )
  const off = last?.difference ?? 0
  const offSample =
    last && sample?.accepted && difference(labOf(last.onWhite), labOf(sample.accepted.onWhite))
  const verdict = verdictOf(off, limits)
  return (
    <Box>
      <Flex gap="8" align="center" wrap="wrap" mb="3">
        {last ? (
          <>
            <Flex>
              <Swatch hex={hexOfLab(batch.target)} size={96} />
              <Swatch hex={hexOf(last.onWhite)} size={96} />
            </Flex>
            <Box>
              <Box color="soft">off the target by</Box>
              <Box
                fontSize={{ base: 'huge', lg: 'vast' }}
                fontWeight="750"
                lineHeight="0.95"
                data-difference={off}
              >
                <AskNumber
                  label="Drawdown"
                  reasons={[
                    INK.because('READ', {
                      difference: q('difference', off),
                      word: verdict.word,
                      accept: q('difference', limits.accept),
                      again: q('difference', limits.again),
                    }),
                  ]}
                >
                  <Measure kind="difference" value={off} />
                </AskNumber>
              </Box>
              <Box fontSize="lead" fontWeight="650">
                {verdict.severity && <SeverityMark severity={verdict.severity} />} {verdict.word}
              </Box>
              {offSample !== undefined && (
                <Box color="soft">
                  <Measure kind="difference" value={offSample} /> from {sample?.id}, the first of this colour
                  that was accepted
                </Box>
              )}
            </Box>
          </>
        ) : (
          <Box>
            <Box fontSize="big" fontWeight="750" lineHeight="1.1">
              Draw it down.
            </Box>
            <Box fontSize="lead" my="1">
              A smear over a white and a black card, cured; then lay the reader on it.
            </Box>
          </Box>
        )}
      </Flex>
      <Flex gap="3" align="end" wrap="wrap" mb="5">
        {!accepted && (
          <PushButton
            type="button"
            autoFocus={!last}
            minHeight="3.6rem"
            fontSize="lead"
            onClick={read}
            disabled={busy}
          >
            {busy ? 'Reading …' : last ? 'Read it again' : 'Read the drawdown'}
          </PushButton>
        )}
        {last && !accepted && (
          <>
            <Box width="10rem">
              <TextInput label="Who looked at it" value={who} onWrite={setWho} />
            </Box>
            <PushButton type="button" minHeight="3.6rem" fontSize="lead" onClick={() => judge('accepted')}>
              {verdict.accepted ? 'Accept it' : 'Accept it all the same'}
            </PushButton>
          </>
        )}
        <Anchor
          href={`/api/ink/batches/${batch.id}/label?${asPrinted}`}
          target="_blank"
          textDecoration="underline"
          pb="2"
        >
          Label (PDF)
        </Anchor>
      </Flex>
      {last && !accepted && !verdict.accepted && <Mend batch={batch} rack={rack} onMend={onMend} />}
      {accepted && <Tub batch={batch} onDo={onDo} />}
      {batch.drawdowns.length > 0 && <Drawdowns batch={batch} />}
    </Box>
  )
}
