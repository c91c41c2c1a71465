import { expose } from 'comlink'
import { readCsv } from '@/formats/csv'
import { guessMapping, type Mapping } from '@/formats/orderColumns'
import { type CsvContext, ordersFromCsv } from '@/formats/ordersCsv'

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
