import { expose } from 'comlink'
import { type CsvContext, guessMapping, type Mapping, ordersFromCsv, readCsv } from '@/formats/csv'

/** Reads CSV files away from the page. The text is kept between the steps. */
const importer = {
  csv: undefined as ReturnType<typeof readCsv> | undefined,
  open(text: string) {
    this.csv = readCsv(text)
    const { head, records, problems } = this.csv
    return { head, count: records.length, first: records.slice(0, 3), problems, mapping: guessMapping(head) }
  },
  orders(mapping: Mapping, context: CsvContext) {
    if (!this.csv) return { orders: [], problems: [] }
    const { head, records, problems } = this.csv
    return problems.length > 0 ? { orders: [], problems } : ordersFromCsv(head, records, mapping, context)
  },
}

export type Importer = typeof importer
expose(importer)
