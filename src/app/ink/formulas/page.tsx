import { database } from '@/store/database'
import { loadInkStock } from '@/store/inkRoom'
import type { Asked } from './asked'
import { FormulaSearch } from './FormulaSearch'

export default async function FormulasPage({ searchParams }: { readonly searchParams: Promise<Asked> }) {
  const { cans, batches } = await loadInkStock(await database())
  return <FormulaSearch cans={cans} batches={batches} asked={await searchParams} />
}
