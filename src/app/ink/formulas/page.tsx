import { database } from '@/store/database'
import { loadInkStock } from '@/store/inkRoom'
import { FormulaSearch } from './FormulaSearch'

interface Props {
  readonly searchParams: Promise<{
    readonly name?: string
    readonly hex?: string
    readonly system?: string
    readonly run?: string
    readonly hit?: string
    readonly mass?: string
  }>
}

export default async function FormulasPage({ searchParams }: Props) {
  const { cans, batches } = await loadInkStock(await database())
  return <FormulaSearch cans={cans} batches={batches} asked={await searchParams} />
}
