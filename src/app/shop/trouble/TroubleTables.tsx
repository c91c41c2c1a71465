'use client'

import { Box, Grid } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import type { OwnTrouble, ShopAndShelf } from '@/core/equipment'
import { keysOf } from '@/core/quantity'
import {
  CAUSES,
  type CauseId,
  type Known,
  QUESTIONS,
  REMEDIES,
  type RemedyId,
  ROW_WITHIN,
  rowKey,
  STARTING,
  SYMPTOMS,
} from '@/core/trouble'
import { QuantityInput } from '@/ui/given'
import { Folded, Section, TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { answerWords, remedyWords } from '@/ui/trouble/words'
import { useKnown } from '../../useKnown'

/** The tables of trouble as this shop has them: every number typed over in its place, with where it comes from. */
export function TroubleTables() {
  const { setValue, getValues } = useFormContext<ShopAndShelf>()
  const own = useWatch<ShopAndShelf, 'shop.ownTrouble'>({ name: 'shop.ownTrouble' }) ?? []
  const known = useKnown()
  const change = (row: string, value: number | undefined) => {
    const others = (getValues('shop.ownTrouble') ?? []).filter((o: OwnTrouble) => o.row !== row)
    setValue('shop.ownTrouble', value === undefined ? others : [...others, { row, value }], {
      shouldDirty: true,
    })
  }
  const rows = { own, known, change }
  return (
    <>
      <Box mb="4" maxWidth="46rem">
        Which cause shows what is common practice; how often is assumed, and corrected by what helped at your
        presses: forty of the tables’ own calls against yours. Where nothing stands beside a number it is so
        as it comes. A number typed here stands in place of the table’s.
      </Box>
      <Section title="Causes, by how often they happen">
        {keysOf(CAUSES)
          .toSorted((a, b) => STARTING.base(b) - STARTING.base(a))
          .map((cause) => (
            <OneCause key={cause} cause={cause} {...rows} />
          ))}
      </Section>
      <Section title="What is done about it">
        {keysOf(REMEDIES).map((remedy) => (
          <OneRemedy key={remedy} remedy={remedy} {...rows} />
        ))}
      </Section>
    </>
  )
}

interface Rows {
  readonly own: readonly OwnTrouble[]
  readonly known: Known
  readonly change: (row: string, value: number | undefined) => void
}

function OneCause({ cause, ...rows }: Rows & { readonly cause: CauseId }) {
  const { units } = useSettings()
  const shown = keysOf(SYMPTOMS).filter((s) => STARTING.sees(cause, s) > 0)
  return (
    <Folded title={CAUSES[cause].label} says={saysOf(`base ${cause}`, rows)}>
      <Lines>
        <OneRow
          row={rowKey.base(cause)}
          label="How often, against the others"
          start={STARTING.base(cause)}
          {...rows}
        />
      </Lines>
      <Lines title="Shows as, of a hundred times">
        {shown.map((s) => (
          <OneRow
            key={s}
            row={rowKey.sees(cause, s)}
            label={SYMPTOMS[s].label}
            start={STARTING.sees(cause, s)}
            isShare
            {...rows}
          />
        ))}
      </Lines>
      {looksOf(cause).map(({ ask, answers }) => (
        <Lines key={ask} title={QUESTIONS[ask].ask}>
          {answers.map(({ answer, start }) => (
            <OneRow
              key={answer}
              row={rowKey.says(cause, ask, answer)}
              label={answerWords(answer, units)}
              start={start}
              isShare
              {...rows}
            />
          ))}
        </Lines>
      ))}
    </Folded>
  )
}

/** How each look comes out when it is the cause, where the tables say so. */
const looksOf = (cause: CauseId) =>
  keysOf(QUESTIONS)
    .map((ask) => ({
      ask,
      answers: Object.keys(QUESTIONS[ask].usual).flatMap((answer) => {
        const start = STARTING.says(cause, ask, answer)
        return start === undefined ? [] : [{ answer, start }]
      }),
    }))
    .filter(({ answers }) => answers.length > 0)

function OneRemedy({ remedy, ...rows }: Rows & { readonly remedy: RemedyId }) {
  const { units } = useSettings()
  const cured = keysOf(CAUSES).filter((c) => STARTING.fixes(remedy, c) > 0)
  return (
    <Folded title={remedyWords(remedy, units)} says={saysOf(`seconds ${remedy}`, rows)}>
      <Lines>
        <OneRow
          row={rowKey.seconds(remedy)}
          label="Seconds it takes"
          start={STARTING.seconds(remedy)}
          {...rows}
        />
        <OneRow
          row={rowKey.spoils(remedy)}
          label="Pieces at risk"
          start={STARTING.spoils(remedy)}
          {...rows}
        />
      </Lines>
      <Lines title="Cures, of a hundred times">
        {cured.map((c) => (
          <OneRow
            key={c}
            row={rowKey.fixes(remedy, c)}
            label={CAUSES[c].label}
            start={STARTING.fixes(remedy, c)}
            isShare
            {...rows}
          />
        ))}
      </Lines>
    </Folded>
  )
}

const Lines = ({ title, children }: { readonly title?: string; readonly children: ReactNode }) => (
  <Box role={title && 'group'} aria-label={title} mb="3">
    {title && (
      <Box fontWeight="650" mb="1">
        {title}
      </Box>
    )}
    <Grid templateColumns="repeat(auto-fill, minmax(13rem, 1fr))" gap="3" alignItems="end">
      {children}
    </Grid>
  </Box>
)

/** Where the number of a row comes from; nothing where it stands as it comes. */
function saysOf(row: string, { own, known }: Rows): string {
  if (own.some((o) => o.row === row)) return 'set by you'
  // All answers to a look were learnt in the same calls.
  const calls = Math.round(known.calls[row.split(' ').slice(0, 3).join(' ')] ?? 0)
  return calls > 0 ? `from ${calls} of your calls` : ''
}

function OneRow({
  row,
  label,
  start,
  isShare = false,
  ...rows
}: Rows & {
  readonly row: string
  readonly label: string
  readonly start: number
  readonly isShare?: boolean
}) {
  const typed = rows.own.find((o) => o.row === row)?.value
  const [least, most] = ROW_WITHIN[row.split(' ')[0] as keyof typeof ROW_WITHIN]
  return (
    <Box>
      <QuantityInput
        label={label}
        kind={isShare ? 'share' : 'count'}
        value={typed ?? rows.known.rows[row] ?? start}
        onGive={(value) => rows.change(row, value === undefined || value === start ? undefined : value)}
        check={(v) =>
          v < least || v > most
            ? `Between ${isShare ? `${100 * least} and ${100 * most} %` : `${least} and ${most}`}.`
            : undefined
        }
      />
      <Box fontSize="small" color="soft">
        {saysOf(row, rows)}{' '}
        {typed !== undefined && (
          <TextButton onClick={() => rows.change(row, undefined)}>take back</TextButton>
        )}
      </Box>
    </Box>
  )
}
