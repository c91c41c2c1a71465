import { useCallback, useEffect, useRef, useState } from 'react'
import type { PairFacts, SetFacts } from '@/core/artwork'
import { messageOf } from '@/core/quantity'
import type { FilmChange, Reading, StoredFilm } from '@/store/films'
import { wrongIn } from '../../../../acts/wrong'

/** What is on the light table of one print. */
export interface Films {
  readonly films: readonly StoredFilm[]
  readonly set: {
    readonly key: string
    readonly dpi: number
    readonly width: number
    readonly height: number
  }
  readonly reading: Reading | undefined
}

/** By the print's id. */
export type FilmsByPrint = Readonly<Record<string, Films>>

/** How far a reading is. */
export interface Progress {
  readonly reading: string | undefined
  readonly done: number
  readonly pairs: number
  /** As soon as all films are laid on each other. */
  readonly facts: Pick<SetFacts, 'facts' | 'print'> | undefined
}

type Line =
  | { readonly step: 'reading'; readonly film: string }
  | { readonly step: 'read'; readonly film: string }
  | ({ readonly step: 'films' } & Omit<SetFacts, 'pairs'>)
  | { readonly step: 'pair'; readonly pair: PairFacts }
  | { readonly step: 'wrong'; readonly film: string; readonly problem: string }
  | { readonly step: 'known'; readonly reading: Reading }
  | { readonly step: 'failed' }

/** Lines of an answer as they come. */
async function* linesOf(response: Response): AsyncGenerator<Line> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  while (reader) {
    const { done, value } = await reader.read()
    if (done) return
    const parts = (rest + value).split('\n')
    rest = parts.pop() ?? ''
    for (const part of parts) yield JSON.parse(part) as Line
  }
}

/** What went wrong, in the words of the answer. */
const wrongOf = async (response: Response): Promise<string> =>
  (await wrongIn(response)).join(' ') || 'The server could not be reached: try again.'

/** Has the films of a print read, and tells how far it is. */
function useReading(base: string, onWrong: (problem: string) => void, onKnown: (reading: Reading) => void) {
  const [progress, setProgress] = useState<Progress>()
  const giveUp = useRef<AbortController>(undefined)
  const cancel = useCallback(() => giveUp.current?.abort(), [])
  useEffect(() => cancel, [cancel])
  const read = useCallback(async () => {
    giveUp.current?.abort()
    const own = new AbortController()
    giveUp.current = own
    let now: Progress = { reading: undefined, done: 0, pairs: 0, facts: undefined }
    setProgress(now)
    try {
      const response = await fetch(`${base}/reading`, { signal: own.signal })
      if (!response.ok) throw new Error(await wrongOf(response))
      for await (const line of linesOf(response)) {
        if (line.step === 'reading') now = { ...now, reading: line.film }
        else if (line.step === 'read') now = { ...now, done: now.done + 1 }
        else if (line.step === 'films') now = { ...now, reading: undefined, facts: line }
        else if (line.step === 'pair') now = { ...now, pairs: now.pairs + 1 }
        else if (line.step === 'wrong') onWrong(line.problem)
        else if (line.step === 'failed') onWrong('Reading failed: try again.')
        else if (line.step === 'known') onKnown(line.reading)
        setProgress(now)
      }
    } catch (error) {
      if (!own.signal.aborted) onWrong(messageOf(error))
    }
    if (giveUp.current === own) setProgress(undefined)
  }, [base, onWrong, onKnown])
  return { progress, read, cancel }
}

/**
 * The films of a print: brings them in, corrects them, has them read.
 *
 * @param known what the page came with, to begin with
 */
export function useFilms(orderId: string, print: string, known: Films | undefined) {
  const base = `/api/orders/${orderId}/films/${print}`
  const [table, setTable] = useState(known)
  const [problems, setProblems] = useState<readonly string[]>([])
  const [coming, setComing] = useState<string>()

  const load = useCallback(async () => {
    const response = await fetch(base).catch(() => undefined)
    if (response?.ok) setTable((await response.json()) as Films)
  }, [base])
  useEffect(() => {
    void load()
  }, [load])
  const wrong = useCallback((problem: string) => setProblems((p) => [...p, problem]), [])
  const found = useCallback((reading: Reading) => setTable((t) => t && { ...t, reading }), [])
  const { progress, read, cancel } = useReading(base, wrong, found)

  /** One film after another, so that a bad one stops none of the others. */
  const bring = useCallback(
    async (files: readonly File[]) => {
      setProblems([])
      for (const file of files) {
        setComing(file.name)
        const query = new URLSearchParams({ name: file.name })
        const response = await fetch(`${base}?${query}`, { method: 'POST', body: file }).catch(
          () => undefined,
        )
        if (!response?.ok) {
          const problem = response
            ? await wrongOf(response)
            : `${file.name}: the server could not be reached.`
          setProblems((p) => [...p, problem])
        }
      }
      setComing(undefined)
      await load()
    },
    [base, load],
  )

  const send = useCallback(
    async (method: 'PATCH' | 'DELETE', film: string, change?: FilmChange) => {
      setProblems([])
      const response = await fetch(`${base}?film=${film}`, {
        method,
        ...(change ? { body: JSON.stringify(change) } : {}),
      }).catch(() => undefined)
      if (!response?.ok)
        setProblems([response ? await wrongOf(response) : 'The server could not be reached.'])
      await load()
    },
    [base, load],
  )

  /** Joins two tiles, by the place of the first in the set. */
  const join = useCallback(
    async (film: number) => {
      setProblems([])
      const response = await fetch(`${base}/join`, { method: 'POST', body: JSON.stringify({ film }) }).catch(
        () => undefined,
      )
      if (!response?.ok)
        setProblems([response ? await wrongOf(response) : 'The server could not be reached.'])
      await load()
    },
    [base, load],
  )

  return {
    base,
    join,
    table,
    progress,
    problems,
    coming,
    bring,
    read,
    cancel,
    correct: useCallback((film: string, change: FilmChange) => send('PATCH', film, change), [send]),
    remove: useCallback((film: string) => send('DELETE', film), [send]),
  }
}

export type FilmsDesk = ReturnType<typeof useFilms>
