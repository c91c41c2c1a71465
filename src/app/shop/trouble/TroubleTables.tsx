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
        presses: forty of the tables’ own calls against yours. A number typed here stands in place of the
        table’s.
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
        {looksOf(cause).map(({ ask, answer, start }) => (
          <OneRow
            key={`${ask} ${answer}`}
            row={rowKey.says(cause, ask, answer)}
            label={`${QUESTIONS[ask].ask} ${answerWords(answer, units)}`}
            start={start}
            isShare
            {...rows}
          />
        ))}
      </Lines>
    </Folded>
  )
}

/** How each look comes out when it is the cause, where the tables say so. */
const looksOf = (cause: CauseId) =>
  keysOf(QUESTIONS).flatMap((ask) =>
    Object.keys(QUESTIONS[ask].usual).flatMap((answer) => {
      const start = STARTING.says(cause, ask, answer)
      return start === undefined ? [] : [{ ask, answer, start }]
    }),
  )

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
        {cured.map((c) => (
          <OneRow
            key={c}
            row={rowKey.fixes(remedy, c)}
            label={`Cures: ${CAUSES[c].label}`}
            start={STARTING.fixes(remedy, c)}
            isShare
            {...rows}
          />
        ))}
      </Lines>
    </Folded>
  )
}

const Lines = ({ children }: { readonly children: ReactNode }) => (
  <Grid templateColumns="repeat(auto-fill, minmax(16rem, 1fr))" gap="3">
    {children}
  </Grid>
)

/** Where the numbers of a row come from. */
function saysOf(row: string, { own, known }: Rows): string {
  if (own.some((o) => o.row === row)) return 'set by you'
  const calls = Math.round(known.calls[row] ?? 0)
  return calls > 0 ? `from ${calls} of your calls` : 'assumed, from common practice'
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
        {saysOf(row, rows)}
        {typed !== undefined && (
          <TextButton onClick={() => rows.change(row, undefined)}>take back</TextButton>
        )}
      </Box>
    </Box>
  )
}
