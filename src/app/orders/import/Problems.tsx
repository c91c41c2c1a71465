import { Box, Flex } from '@chakra-ui/react'
import { type CellProblem, type Mended, mendedBy } from '@/formats/orderCells'
import { ORDER_COLUMNS, type OrderColumn } from '@/formats/orderColumns'
import { Input } from '@/ui/elements'
import { Section, Table, TextButton } from '@/ui/Section'
import { SHOWN } from './shown'

interface Props {
  readonly problems: readonly CellProblem[]
  readonly mended: Mended
  /** @param byKey the next thing to mend takes the focus */
  readonly onMend: (mended: Mended, byKey?: boolean) => void
  /** What a cell of a column may say. */
  readonly meant: Readonly<Partial<Record<OrderColumn, readonly string[]>>>
}

/** The same mistake in the same words is told once. */
function alike(problems: readonly CellProblem[]) {
  const groups = new Map<string, { readonly first: CellProblem; lines: number }>()
  for (const p of problems) {
    const key = JSON.stringify([p.column, p.message, p.cell?.written || p.line])
    const group = groups.get(key)
    if (group) group.lines++
    else groups.set(key, { first: p, lines: 1 })
  }
  return [...groups.values()]
}

/** What is wrong, each mended where it is told. */
export function Problems({ problems, mended, onMend, meant }: Props) {
  const groups = alike(problems)
  return (
    <Section title={`${problems.length.toLocaleString('en')} to mend before anything is imported`}>
      {Object.entries(meant).map(([name, words]) => (
        <datalist key={name} id={`meant-${name}`}>
          {words.map((word) => (
            <option key={word} value={word} />
          ))}
        </datalist>
      ))}
      <Table role="alert">
        <thead>
          <tr>
            <th className="num" style={{ width: '5rem' }}>
              Line
            </th>
            <th style={{ width: '9rem' }}>Column</th>
            <th style={{ width: '13rem' }}>Read it as</th>
            <th>What is wrong</th>
          </tr>
        </thead>
        <tbody>
          {groups.slice(0, SHOWN).map(({ first: p, lines }) => (
            <tr key={`${p.line} ${p.column} ${p.message}`}>
              <td className="num">{p.line}</td>
              <td>{p.column}</td>
              <td>
                {p.cell && (
                  <MendCell
                    problem={{ ...p, cell: p.cell }}
                    isChoice={meant[p.cell.name] !== undefined}
                    onMend={(cell, text, byKey) => onMend(mendedBy(mended, p.line, cell, text), byKey)}
                  />
                )}
              </td>
              <td>
                {p.message}
                {lines === 2 && ' And one more line.'}
                {lines > 2 && ` And ${(lines - 1).toLocaleString('en')} more lines.`}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {groups.length > SHOWN && (
        <Box color="soft">and {(groups.length - SHOWN).toLocaleString('en')} more</Box>
      )}
    </Section>
  )
}

type Cell = NonNullable<CellProblem['cell']>

function MendCell({
  problem: { line, column, cell },
  isChoice,
  onMend,
}: {
  readonly problem: CellProblem & { readonly cell: Cell }
  readonly isChoice: boolean
  readonly onMend: (cell: Cell, text: string, byKey: boolean) => void
}) {
  const give = (text: string, byKey = false) => text.trim() !== cell.read && onMend(cell, text.trim(), byKey)
  return (
    <Input
      aria-label={`${column}, line ${line}, read as`}
      defaultValue={cell.read}
      list={isChoice ? `meant-${cell.name}` : undefined}
      autoComplete="off"
      onBlur={(e) => give(e.target.value)}
      onKeyDown={(e) => e.key === 'Enter' && give(e.currentTarget.value, true)}
      data-mend
      width="100%"
      bg="raised"
      px="1.5"
      minHeight="field"
      borderBottom="1px solid"
      borderColor="soft"
    />
  )
}

/** Words that are read as others, each with the way back. */
export function ReadOtherwise({ mended, onMend }: Pick<Props, 'mended' | 'onMend'>) {
  const words = Object.entries(mended.words).flatMap(([name, all]) =>
    Object.entries(all).map(([written, read]) => ({ name: name as OrderColumn, written, read })),
  )
  if (words.length === 0) return null
  return (
    <Section title="Read as this shop says it, also in the next file">
      <Flex columnGap="6" rowGap="1" wrap="wrap">
        {words.map(({ name, written, read }) => (
          <Box key={`${name} ${written}`}>
            {ORDER_COLUMNS[name].label} “{written}” is <b>{read || 'empty'}</b>{' '}
            <TextButton
              aria-label={`Read ${written} as it is written`}
              onClick={() => onMend(mendedBy(mended, 0, { name, written, read }, written))}
            >
              undo
            </TextButton>
          </Box>
        ))}
      </Flex>
    </Section>
  )
}
