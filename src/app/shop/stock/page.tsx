import { Stock } from './Stock'

export default function StockPage() {
  return <Stock />
}
