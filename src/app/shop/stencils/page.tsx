import { Stencils } from './Stencils'

export default function StencilsPage() {
  return <Stencils />
}
