import { TroubleTables } from './TroubleTables'

export default function TroublePage() {
  return <TroubleTables />
}
