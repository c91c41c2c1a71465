import { Presses } from './Presses'

export default function PressesPage() {
  return <Presses />
}
