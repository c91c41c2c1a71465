import { Method } from './Method'

export default function MethodPage() {
  return <Method />
}
