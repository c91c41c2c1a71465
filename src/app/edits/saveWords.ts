import type { SaveState } from './session'

/** How a save stands, in words. */
export const SAVE_WORDS: Readonly<Record<SaveState, string>> = {
  saved: 'Saved',
  saving: 'Saving',
  incomplete: 'Not saved yet: see the marked fields',
  conflict: 'Not saved: someone else changed this too',
  gone: 'Not saved: someone deleted this. It can be brought back at Orders, Deleted.',
  failed: 'Could not save. Your input is still here; the next change tries again.',
}
