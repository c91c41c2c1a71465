import { Box, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { groupLabel, type Run, WHERES } from '@/core/order'
import { Link } from '@/ui/elements'
import { Select } from '@/ui/Select'
import { PrintLook } from '@/ui/Swatch'
import { useOrder } from './orderContext'

/** As many stand side by side in a head of one row; of more, the one in hand and a list. */
const SIDE_BY_SIDE = 2

/** The runs of the order; the one in hand shows its colours. */
export function Runs() {
  const { stage, runs, run, stagePath } = useOrder()
  const router = useRouter()
  if (runs.length === 0) return null
  const many = runs.length > SIDE_BY_SIDE
  return (
    <Flex as="nav" aria-label="Runs" gap="2" wrap="wrap" minWidth="0" align="center">
      {runs
        .filter((r) => !many || r.id === run?.id)
        .map((r) => (
          <RunTab key={r.id} run={r} />
        ))}
      {many && (
        <Select
          aria-label={`Run, one of ${runs.length}`}
          width="6.5rem"
          value={run?.id}
          onChange={(e) => router.push(stagePath(stage, e.target.value))}
        >
          {/* What is closed says how many there are; open, the list names them. */}
          <option hidden value={run?.id}>
            {runs.length} runs
          </option>
          {runs.map((r) => (
            <option key={r.id} value={r.id}>
              {place(r)}, {rest(r)}
            </option>
          ))}
        </Select>
      )}
    </Flex>
  )
}

function RunTab({ run }: { readonly run: Run }) {
  const { order, stage, run: inHand, plan, stagePath, pictured } = useOrder()
  const here = run.id === inHand?.id
  return (
    <Link
      href={stagePath(stage, run.id)}
      aria-current={here ? 'true' : undefined}
      display="flex"
      alignItems="center"
      gap="2"
      px="2"
      py="1"
      bg={here ? 'raised' : 'transparent'}
      borderBottom="3px solid"
      borderColor={here ? 'ink' : 'rule'}
    >
      <PrintLook
        close
        cloth={run.lines[0]?.cloth}
        inks={run.placement.inks}
        picture={
          pictured.includes(run.placement.id)
            ? {
                orderId: order.id,
                print: run.placement.id,
                based: !here || !plan || plan.hits.some((h) => h.hit.id === 'base'),
              }
            : undefined
        }
      >
        <Box as="span" fontWeight={here ? '700' : '500'} color="ink">
          {place(run)}
        </Box>
        , {rest(run)}
      </PrintLook>
    </Link>
  )
}

const place = ({ placement }: Run): string =>
  WHERES[placement.where] + (placement.sizes === 'all' ? '' : ` ${placement.sizes}`)

const rest = (run: Run): string => `${groupLabel(run.group).toLowerCase()}, ${run.quantity}`
