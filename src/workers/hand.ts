/** The second pair of hands of the thread that reads films; it remembers nothing. */

import { parentPort } from 'node:worker_threads'
import { expose, type Remote, releaseProxy, transfer } from 'comlink'
import nodeEndpoint, { type NodeEndpoint } from 'comlink/dist/esm/node-adapter.mjs'
import type { Film } from '@/core/artwork'
import { type Hand, OWN_HAND, type Reading } from './reading'

/** What is large of a film: it is handed over instead of copied. */
const largeIn = ({ packed, regions, coarse, halftone }: Film) =>
  [packed.bits.bits, packed.cells, packed.inkSums, regions.bits, coarse.filled, halftone.map].map(
    (a) => a.buffer,
  )

const hand: Hand = {
  ...OWN_HAND,
  async read(films, sheet, shared, report) {
    try {
      const done = await OWN_HAND.read(films, sheet, shared, report)
      const large = done.flatMap(([, read]) => ('film' in read ? largeIn(read.film) : []))
      return transfer(done, [...new Set(large)])
    } finally {
      // The way back for reports is a port, which stays open until it is let go.
      ;(report as unknown as Remote<(r: Reading) => void>)[releaseProxy]()
    }
  },
}

const adapt = nodeEndpoint as unknown as (port: NodeEndpoint) => Parameters<typeof expose>[1]
if (parentPort) expose(hand, adapt(parentPort as unknown as NodeEndpoint))
