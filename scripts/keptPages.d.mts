import type { IncomingMessage, ServerResponse } from 'node:http'

type Render = (request: IncomingMessage, response: ServerResponse) => Promise<void>
export function keptPages(
  stamp: () => string,
  render: Render,
  now?: () => number,
): (request: IncomingMessage, response: ServerResponse, nonce: string) => Promise<void>
