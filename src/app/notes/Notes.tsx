'use client'

import { Box, Flex } from '@chakra-ui/react'
import { Camera, X } from 'lucide-react'
import { type ClipboardEvent, type DragEvent, useCallback, useEffect, useId, useRef, useState } from 'react'
import type { Note, Subject } from '@/store/notes'
import { Day } from '@/ui/day'
import { Input, Label, Textarea } from '@/ui/elements'
import { TextButton } from '@/ui/Section'
import { act } from '../acts/act'
import { keepPhoto } from './keepPhoto'

interface Props extends Subject {
  /** What it is called here: `The Twelve`. */
  readonly name: string
  /** Only shown. */
  readonly still?: boolean
  /** A new one is typed after asking: the page is about other things. */
  readonly folded?: boolean
}

const MOST_PHOTOS = 12

/** Words and pictures about a thing of the shop: typed, pasted, dropped or taken with the tablet. */
export function Notes({ about, of, name, still = false, folded = false }: Props) {
  const [writing, setWriting] = useState(!folded)
  const { notes, problem, again } = useNotes(about, of)
  const [gone, setGone] = useState<Note>()
  const forget = async (note: Note) => {
    const done = await act('forgetNote', { id: note.id })
    if (done.ok) setGone(note)
    again()
  }
  const putBack = async ({ words, photos }: Note) => {
    await act('writeNote', { about, of, words, photos })
    setGone(undefined)
    again()
  }
  if (still && notes.length === 0) return null
  return (
    <Box role="group" aria-label={`Noted on ${name}`} mb="5">
      {notes.map((note) => (
        <Flex
          key={note.id}
          gap="3"
          py="1.5"
          borderBottom="1px solid"
          borderColor="rule"
          align="start"
          wrap="wrap"
        >
          <Box color="soft" fontSize="small" pt="0.5" flex="none" width="5.5rem">
            <Day at={note.at} as="d MMM, HH:mm" />
          </Box>
          <Box flex="1 1 14rem" whiteSpace="pre-wrap" overflowWrap="anywhere">
            {still && <strong>{name}: </strong>}
            {note.words}
            {note.photos.length > 0 && <Pictures photos={note.photos} of={name} width={still ? 72 : 120} />}
          </Box>
          {!still && (
            <TextButton onClick={() => void forget(note)} aria-label={`Remove the note: ${note.words}`}>
              <X size={16} aria-hidden="true" />
            </TextButton>
          )}
        </Flex>
      ))}
      {gone && (
        <Flex gap="3" fontSize="small" py="1" role="status">
          A note is gone. <TextButton onClick={() => void putBack(gone)}>Put it back</TextButton>
        </Flex>
      )}
      {problem && <Box role="alert">{problem}</Box>}
      {!still &&
        (writing ? (
          <NewNote {...{ about, of, name }} onWritten={again} />
        ) : (
          <TextButton px="0" fontSize="small" onClick={() => setWriting(true)}>
            Note on {name}
          </TextButton>
        ))}
    </Box>
  )
}

function Pictures({
  photos,
  of,
  width = 120,
}: {
  readonly photos: readonly string[]
  readonly of: string
  readonly width?: number
}) {
  return (
    <Flex as="span" gap="2" wrap="wrap" mt="1">
      {photos.map((hash) => (
        <a key={hash} href={`/api/photos/${hash}`} target="_blank" rel="noreferrer">
          {/* biome-ignore lint/performance/noImgElement: it is of this very server, and as large as it is shown */}
          <img src={`/api/photos/${hash}`} alt={`Of ${of}`} width={width} />
        </a>
      ))}
    </Flex>
  )
}

function NewNote({ about, of, name, onWritten }: Subject & { readonly name: string; onWritten: () => void }) {
  const id = useId()
  const camera = useRef<HTMLInputElement>(null)
  const [words, setWords] = useState('')
  const [photos, setPhotos] = useState<readonly string[]>([])
  const [problem, setProblem] = useState('')
  const bring = async (files: readonly File[]) => {
    setProblem('')
    for (const file of files.slice(0, MOST_PHOTOS)) {
      const kept = await keepPhoto(file)
      if (typeof kept === 'string') setPhotos((now) => [...new Set([...now, kept])].slice(0, MOST_PHOTOS))
      else setProblem(kept.problem)
    }
  }
  const pictures = (list: FileList | null) => [...(list ?? [])].filter((f) => f.type.startsWith('image/'))
  const paste = (e: ClipboardEvent) => {
    const found = pictures(e.clipboardData.files)
    if (found.length === 0) return
    e.preventDefault()
    void bring(found)
  }
  const drop = (e: DragEvent) => {
    e.preventDefault()
    void bring(pictures(e.dataTransfer.files))
  }
  const write = async () => {
    const done = await act('writeNote', { about, of, words: words.trim(), photos })
    setProblem(done.ok ? '' : done.message)
    if (!done.ok) return
    setWords('')
    setPhotos([])
    onWritten()
  }
  const isEmpty = words.trim() === '' && photos.length === 0
  return (
    <Box onPaste={paste} onDrop={drop} onDragOver={(e) => e.preventDefault()} mt="2">
      <Label htmlFor={id} display="block" fontSize="small" color="soft">
        New note on {name}; a picture can be pasted or dropped
      </Label>
      <Flex gap="4" align="center" wrap="wrap">
        <Textarea
          id={id}
          rows={1}
          maxLength={4000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter' && (e.ctrlKey || e.metaKey) && !isEmpty) void write()
          }}
          bg="raised"
          px="1.5"
          py="1"
          minHeight="field"
          flex="1 1 14rem"
          borderBottom="1px solid"
          borderColor="soft"
        />
        <TextButton onClick={() => camera.current?.click()} aria-label={`A picture for ${name}`}>
          <Flex as="span" gap="1.5" align="center">
            <Camera size={16} aria-hidden="true" /> Picture
          </Flex>
        </TextButton>
        <Input
          ref={camera}
          type="file"
          accept="image/*"
          multiple
          hidden
          aria-label={`Pictures for a note on ${name}`}
          onChange={(e) => {
            void bring(pictures(e.target.files))
            e.target.value = ''
          }}
        />
        <TextButton disabled={isEmpty} onClick={() => void write()} aria-label={`Keep the note on ${name}`}>
          Keep
        </TextButton>
      </Flex>
      {photos.length > 0 && <Pictures photos={photos} of={name} />}
      {problem && <Box role="alert">{problem}</Box>}
    </Box>
  )
}

function useNotes(about: Subject['about'], of: string) {
  const [notes, setNotes] = useState<readonly Note[]>([])
  const [problem, setProblem] = useState('')
  const [asked, setAsked] = useState(0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once more when something was written
  useEffect(() => {
    const stop = new AbortController()
    const query = new URLSearchParams({ about, of })
    fetch(`/api/notes?${query}`, { signal: stop.signal })
      .then((answer) => answer.json() as Promise<{ readonly notes?: readonly Note[] }>)
      .then((told) => {
        setNotes(told.notes ?? [])
        setProblem('')
      })
      .catch(() => stop.signal.aborted || setProblem('The notes cannot be read just now.'))
    return () => stop.abort()
  }, [about, of, asked])
  return { notes, problem, again: useCallback(() => setAsked((n) => n + 1), []) }
}
