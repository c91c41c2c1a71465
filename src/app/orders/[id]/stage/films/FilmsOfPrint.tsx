'use client'

import { Box, Flex, Grid } from '@chakra-ui/react'
import { type DragEvent, type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import { type FilmFacts, isLaid, type Push, STILL } from '@/core/artwork'
import type { InkColour, Order } from '@/core/order'
import type { StoredFilm } from '@/store/films'
import { Empty } from '@/ui/Empty'
import { Input } from '@/ui/elements'
import { PushButton } from '@/ui/PushButton'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { BASE_HEX, paintOf } from '../../../../films/paints'
import { useOrder } from '../../orderContext'
import { FilmTable } from './FilmTable'
import { LeftOut } from './LeftOut'
import { HEIGHT, type Laid, LightTable } from './LightTable'
import { PushBar } from './PushBar'
import { ReadingMeter } from './ReadingMeter'
import { type Films, useFilms } from './useFilms'
import { WhatFilmsSay } from './WhatFilmsSay'

/** How a film lies on the table while its colour is not known. */
const NO_COLOUR = '#6b6b6b'

/** What was left out of the film that had most of it: marks are on all, labels say something else on each. */
const mostLeftOut = (facts: readonly FilmFacts[]) =>
  facts.map((f) => f.leftOut).reduce((a, b) => (b.length > a.length ? b : a), [])

/** The films of a print on the light table, what was read off them, and what the print would show if they missed. */
export function FilmsOfPrint({
  at,
  id,
  known,
  beside,
}: {
  readonly at: number
  readonly id: string
  readonly known: Films | undefined
  /** Stands beside the light table. */
  readonly beside: ReactNode
}) {
  const { order, plan, run, pictured } = useOrder()
  const { control } = useFormContext<Order>()
  const inks = useWatch({ control, name: `placements.${at}.inks` })
  const desk = useFilms(order.id, id, known)
  const { table, progress, problems, coming, bring, read, cancel } = desk
  const [over, setOver] = useState(false)
  const picker = useRef<HTMLInputElement>(null)
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set())
  const [pushing, setPushing] = useState<string>()
  const [pushes, setPushes] = useState<Readonly<Record<string, Push>>>({})
  const [spot, setSpot] = useState<{ readonly x: number; readonly y: number }>()

  const reading = table?.reading
  const leftOut = useMemo(() => mostLeftOut(reading?.facts ?? []), [reading])
  const sized = table?.films.filter(isLaid).length ?? 0
  const unread = sized > 0 && !reading
  // Films that were just brought are read at once; a person who gave up starts again by hand.
  const asked = useRef<string>(undefined)
  useEffect(() => {
    if (!table || !unread || coming || asked.current === table.set.key) return
    asked.current = table.set.key
    void read()
  }, [table, unread, coming, read])

  const inOrder = useMemo(() => {
    const hits = plan && run?.placement.id === id ? plan.hits.map((h) => h.hit.id) : []
    const place = (ink: InkColour) => {
      const found = hits.indexOf(ink.id)
      return found < 0 ? inks.indexOf(ink) : found
    }
    return [...inks].sort((a, b) => place(a) - place(b))
  }, [inks, plan, run, id])
  const laid = useMemo((): readonly Laid[] => {
    const paints = [
      { ink: 'base', hex: BASE_HEX, clear: false },
      ...inOrder.map((ink) => ({ ink: ink.id, ...paintOf(ink) })),
    ]
    const films = table?.films.filter((f) => isLaid(f) && !hidden.has(f.id)) ?? []
    const lay = (film: StoredFilm, hex: string, clear: boolean): Laid => ({
      ...{ id: film.id, hex, clear },
      push: pushes[film.id] ?? STILL,
    })
    const known = paints.flatMap(({ ink, hex, clear }) => {
      const film = films.find((f) => f.ink === ink)
      return film ? [lay(film, hex, clear)] : []
    })
    // Whose colour no one said yet is seen all the same.
    return [...known, ...films.filter((f) => f.ink === '').map((f) => lay(f, NO_COLOUR, false))]
  }, [table, inOrder, hidden, pushes])

  const push = useCallback(
    (by: Push) =>
      pushing !== undefined &&
      setPushes((p) => {
        const was = p[pushing] ?? STILL
        return {
          ...p,
          [pushing]: { dx: was.dx + by.dx, dy: was.dy + by.dy, rotation: was.rotation + by.rotation },
        }
      }),
    [pushing],
  )
  const drop = (e: DragEvent) => {
    e.preventDefault()
    setOver(false)
    void bring([...e.dataTransfer.files])
  }
  const cloth = run?.placement.id === id ? run.lines[0]?.cloth.hex : order.lines[0]?.cloth.hex
  const empty = table ? table.films.length === 0 : !pictured.includes(id)
  return (
    <Box
      mb="5"
      onDragOver={(e) => {
        e.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      outline={over ? '3px solid' : undefined}
      outlineColor="ink"
      outlineOffset="4px"
    >
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1fr) 11rem' }} columnGap="6" rowGap="4">
        <Box>
          <Flex gap="4" align="baseline" mb="2" wrap="wrap">
            <Box fontWeight="650">Films</Box>
            <Box color="soft" fontSize="small">
              {!empty && 'More can be dropped here.'}
            </Box>
            <Box ml="auto">
              {!empty && (
                <TextButton aria-label={`Add films … of print ${id}`} onClick={() => picker.current?.click()}>
                  Add films …
                </TextButton>
              )}
              <Input
                ref={picker}
                type="file"
                multiple
                accept=".png,.tif,.tiff,.svg,.pdf"
                aria-label={`Films of print ${id}`}
                tabIndex={-1}
                srOnly
                onChange={(e) => {
                  void bring([...(e.target.files ?? [])])
                  e.target.value = ''
                }}
              />
            </Box>
          </Flex>
          {problems.map((p) => (
            <Box key={p} role="alert" bg="raised" px="3" py="1.5" mb="2">
              <SeverityMark severity="Stop" /> {p}
            </Box>
          ))}
          {coming !== undefined && <Box role="status">Bringing in {coming} …</Box>}
          {progress && table && <ReadingMeter progress={progress} films={table.films} onCancel={cancel} />}
          {empty && !coming && (
            <Box border="2px dashed" borderColor="rule" px="5">
              <Empty says="No films yet. Drop one file for each colour here, or one document (PNG, TIFF, SVG, PDF): coverage, finest lines and overlaps are read off them.">
                <PushButton
                  type="button"
                  aria-label={`Add films … of print ${id}`}
                  onClick={() => picker.current?.click()}
                >
                  Add films …
                </PushButton>
              </Empty>
            </Box>
          )}
          {!table && pictured.includes(id) && (
            <Box role="status" height={HEIGHT} bg="surround" color="soft" p="4">
              Fetching the films …
            </Box>
          )}
          {table && !empty && laid.length > 0 && (
            <>
              <LightTable
                base={desk.base}
                set={table.set}
                print={(reading ?? progress?.facts)?.print}
                cloth={cloth ?? '#808080'}
                laid={laid}
                pushing={pushing}
                onPush={push}
                spot={spot}
                leftOut={leftOut}
              />
              {reading && (
                <LeftOut
                  desk={desk}
                  films={table.films.filter((f) => reading.films.includes(f.id))}
                  leftOut={leftOut}
                  onSpot={setSpot}
                />
              )}
              {reading && (
                <PushBar
                  films={table.films.filter(isLaid)}
                  inks={inks}
                  pushing={pushing}
                  onChoose={setPushing}
                  pushes={pushes}
                  onPushes={setPushes}
                />
              )}
            </>
          )}
        </Box>
        {beside}
      </Grid>
      {table && !empty && (
        <>
          <FilmTable
            desk={desk}
            inks={inks}
            facts={reading ?? progress?.facts}
            hidden={hidden}
            onHide={(film) =>
              setHidden((h) => new Set(h.has(film) ? [...h].filter((x) => x !== film) : [...h, film]))
            }
            onSpot={setSpot}
          />
          {unread && !progress && !coming && (
            <Flex gap="3" align="baseline" mt="2">
              <SeverityMark severity="Watch" /> These films were not read.
              <TextButton onClick={() => void read()}>Read them</TextButton>
            </Flex>
          )}
          {reading && (
            <WhatFilmsSay {...{ at, id, desk, inks, reading, pushes }} films={table.films} onSpot={setSpot} />
          )}
        </>
      )}
    </Box>
  )
}
