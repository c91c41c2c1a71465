import { Box } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { TextInput } from '@/ui/given'
import { notePad, padNow } from './queue'

const MOST = 40

/** Who works with this tablet: stands beside everything that is said from here on. */
export function Who() {
  const [name, setName] = useState('')
  useEffect(() => {
    void padNow().then(({ by = '' }) => setName(by))
  }, [])
  const write = (text: string) => {
    const typed = text.slice(0, MOST)
    setName(typed)
    void notePad({ by: typed.trim() })
  }
  return (
    <Box maxWidth="18rem" mb="3">
      <TextInput label="Who works with this tablet" value={name} onWrite={write} />
    </Box>
  )
}
