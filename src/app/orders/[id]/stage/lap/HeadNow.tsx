import { Box } from '@chakra-ui/react'
import type { FlashUnit, Frame } from '@/core/equipment'
import type { PrintOf } from '@/core/plan'
import { Button } from '@/ui/elements'
import { Select } from '@/ui/Select'
import { useOrder } from '../../orderContext'

interface Props {
  readonly head: number
  readonly works: boolean
  readonly frame: Frame | undefined
  readonly unit: FlashUnit | undefined
  readonly of: PrintOf
  readonly onTurn: () => void
  /** A frame by its number, or nothing. */
  readonly onMount: (frameId: string) => void
}

/** One head of the press: its number to press when it fails, and what is mounted there now. */
export function HeadNow({ head, works, frame, unit, of, onTurn, onMount }: Props) {
  const { shop } = useOrder().shelf
  const mine = ({ stencil: s }: Frame) => s?.order === of.orderId && s.print === of.print
  /** Screens of this print first; those of others by their whole name. */
  const ready = shop.frames
    .filter((f) => f.state !== 'retired' && f.stencil && (!f.mounted || f.id === frame?.id))
    .sort((a, b) => Number(mine(b)) - Number(mine(a)))
  const words = (f: Frame) => {
    const name = f.stencil?.words ?? 'empty'
    return mine(f) ? name.replace(/^.*: /, '') : name
  }
  return (
    <Box flex="1 1 0" minWidth="4.4rem" maxWidth="10rem" borderLeft="1px solid" borderColor="rule" px="1.5">
      <Button
        type="button"
        aria-pressed={!works}
        aria-label={`Head ${head}: ${works ? 'works' : 'out of service'}`}
        onClick={onTurn}
        display="block"
        width="100%"
        minHeight="2.4rem"
        border="1px solid"
        borderColor="soft"
        fontWeight="650"
        cursor="pointer"
        bg={works ? 'transparent' : 'ink'}
        color={works ? 'ink' : 'work'}
        textDecoration={works ? 'none' : 'line-through'}
      >
        {head}
      </Button>
      <Select
        aria-label={`Mounted at head ${head}`}
        title={frame?.stencil?.words}
        value={frame?.id ?? ''}
        onChange={(e) => onMount(e.target.value)}
        width="100%"
        textOverflow="ellipsis"
        fontSize="small"
        fontStretch="75%"
        mt="1"
        color={frame ? 'ink' : 'soft'}
      >
        <option value="">empty</option>
        {frame && !frame.stencil && <option value={frame.id}>{frame.id}</option>}
        {ready.map((f) => (
          <option key={f.id} value={f.id}>
            {f.id} {words(f)}
          </option>
        ))}
      </Select>
      <Box fontSize="small" color="soft" truncate minHeight="1.2rem">
        {unit?.name ?? (frame && !mine(frame) ? 'another job' : '')}
      </Box>
    </Box>
  )
}
