import { notFound } from 'next/navigation'
import { Stage } from '../Stage'
import { isStage } from '../stages'

export default async function StagePage({ params }: { readonly params: Promise<{ stage: string }> }) {
  const { stage } = await params
  if (!isStage(stage)) notFound()
  return <Stage stage={stage} />
}
