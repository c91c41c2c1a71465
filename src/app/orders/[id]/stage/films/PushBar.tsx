import { Flex } from '@chakra-ui/react'
import { type Push, STILL } from '@/core/artwork'
import type { InkColour } from '@/core/order'
import type { StoredFilm } from '@/store/films'
import { TextButton } from '@/ui/Section'
import { Select } from '@/ui/Select'
import { Labelled, Typed } from './Typed'

/** A film by its colour, or by its file while no one said the colour. */
export const filmName = (film: StoredFilm, inks: readonly InkColour[]): string =>
  film.ink === 'base' ? 'Base' : (inks.find((i) => i.id === film.ink)?.name ?? film.name)

interface Props {
  readonly films: readonly StoredFilm[]
  readonly inks: readonly InkColour[]
  readonly pushing: string | undefined
  readonly onChoose: (film: string | undefined) => void
  readonly pushes: Readonly<Record<string, Push>>
  readonly onPushes: (pushes: Readonly<Record<string, Push>>) => void
}

/** Which film the hand pushes, and how far it lies off. */
export function PushBar({ films, inks, pushing, onChoose, pushes, onPushes }: Props) {
  const own = pushing === undefined ? undefined : (pushes[pushing] ?? STILL)
  const set = (change: Partial<Push>) =>
    pushing !== undefined && own && onPushes({ ...pushes, [pushing]: { ...own, ...change } })
  if (films.length < 2) return null
  return (
    <Flex gap="5" align="end" wrap="wrap" mt="2">
      <Labelled label="Film to move">
        {(id) => (
          <Select
            id={id}
            value={pushing ?? ''}
            onChange={(e) => onChoose(e.target.value || undefined)}
            width="11rem"
          >
            <option value="">nothing</option>
            {films.map((f) => (
              <option key={f.id} value={f.id}>
                {filmName(f, inks)}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {own && (
        <>
          <Typed label="Right" kind="fine" value={own.dx} onSay={(dx) => set({ dx })} />
          <Typed label="Down" kind="fine" value={own.dy} onSay={(dy) => set({ dy })} />
          <Typed label="Turn" kind="turn" value={own.rotation} onSay={(rotation) => set({ rotation })} />
        </>
      )}
      {films.some((f) => pushes[f.id]) && (
        <TextButton onClick={() => onPushes({})}>Reset all films</TextButton>
      )}
    </Flex>
  )
}
