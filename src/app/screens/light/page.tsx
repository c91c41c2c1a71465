import { Light } from './Light'

export default function LightPage() {
  return <Light />
}
