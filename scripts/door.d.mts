export const HEADERS: Readonly<Record<string, string>>
export function allowedHosts(host: string, more?: readonly string[]): ReadonlySet<string>
export function policy(nonce: string): string
export function refusal(
  request: {
    readonly method: string
    readonly url: string
    readonly headers: Readonly<Record<string, string>>
  },
  allowed: ReadonlySet<string>,
): readonly [status: number, sentence: string] | undefined
