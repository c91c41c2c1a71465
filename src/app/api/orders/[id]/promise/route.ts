import { database } from '@/store/database'
import { promiseFor } from '../../../../days/promise'
import { answered, json, nothing, Refused } from '../../../answer'

interface Context {
  readonly params: Promise<{ id: string }>
}

/** By when an order can be promised, before it is accepted or after. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const found = await promiseFor(await database(), id, new Date())
    if (found === 'no order') return nothing(`order ${id}`)
    if (found === 'no place')
      throw new Refused(
        409,
        'It cannot be planned yet: look at what its runs still miss, and at its screens.',
      )
    return json(found)
  })
}
