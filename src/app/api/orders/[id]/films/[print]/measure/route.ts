import { array, number, object } from 'yup'
import { inDarkroom } from '../../../../../../films/darkroom'
import { printFilms } from '../../../../../../films/printFilms'
import { brought, json, write } from '../../../../../answer'

interface Context {
  readonly params: Promise<{ id: string; print: string }>
}

/** Farthest push and largest tolerance that are measured. */
const FAR = 0.05
const push = object({
  dx: number().required().min(-FAR).max(FAR),
  dy: number().required().min(-FAR).max(FAR),
  rotation: number().required().min(-0.2).max(0.2),
})
const film = number().strict().integer().min(0).max(999).required()
const asked = object({
  pushes: array(push).max(200).default(undefined),
  tolerance: number().min(0).max(0.005),
  base: number().integer().min(0).max(999),
  needing: array(film).default(undefined),
  others: array(film).default(undefined),
})

/**
 * Measures what opens when films are pushed by `pushes`, what a miss of `tolerance` would show between colours and beside the
 * base of those `needing` it, and, with `others` named too, what the base does under its colours.
 */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id, print } = await params
    const question = await brought(request, asked)
    const { set } = await printFilms(id, print)
    const named = [...(question.needing ?? []), ...(question.others ?? []), question.base ?? 0]
    // Of films as they were a moment ago: whoever asks will ask of the new ones.
    if (named.some((i) => i >= set.films.length)) return json({ opened: [], exposed: [] })
    const { pushes, tolerance, base, needing, others } = question
    const under = base !== undefined && needing ? ([base, needing] as const) : undefined
    const measured = await inDarkroom(async (api) => ({
      opened: pushes ? await api.pushed(set, pushes) : [],
      exposed: tolerance === undefined ? [] : await api.exposed(set, base, tolerance),
      peeping: under && tolerance !== undefined ? await api.peeping(set, ...under, tolerance) : undefined,
      base: under && others ? await api.base(set, ...under, others) : undefined,
    }))
    return json(measured)
  })
}
