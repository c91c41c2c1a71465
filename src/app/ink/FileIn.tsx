'use client'

import { Box } from '@chakra-ui/react'
import type { ChangeEvent } from 'react'
import { Input, Label } from '@/ui/elements'

/** Takes the text of a file; the same file may be given again. */
export function FileIn({
  label,
  onText,
}: {
  readonly label: string
  readonly onText: (text: string) => void
}) {
  const take = async (e: ChangeEvent<HTMLInputElement>) => {
    const [file] = e.target.files ?? []
    if (file) onText(await file.text())
    e.target.value = ''
  }
  return (
    <Label>
      <Box fontSize="small" color="soft">
        {label}
      </Box>
      <Input type="file" onChange={take} fontSize="small" />
    </Label>
  )
}
