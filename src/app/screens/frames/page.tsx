import { Frames } from './Frames'

export default function FramesPage() {
  return <Frames />
}
