/** A thread takes no loader from its options, so it sets its own before it opens the source. */
import { register } from 'tsx/esm/api'

register()
await import('./hand.ts')
