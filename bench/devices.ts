/**
 * Thirty devices, each of which opens a page of the demo shop every two seconds, against one device alone; and what the server
 * holds in memory over time. `BENCH_MINUTES` says for how long (2; the aim speaks of 30).
 */
import { median, quantile } from 'd3-array'
import { served } from './served'
import { SMALL } from './size'

const DEVICES = SMALL ? 4 : 30
const EVERY = 2000
const MINUTES = SMALL ? 0.05 : Number(process.env.BENCH_MINUTES ?? 2)
const PATHS = ['/', '/orders', '/screens', '/ink', '/orders/O-1002/order', '/orders/O-1003/sequence', '/shop']

const shop = await served()
const wait = (ms: number) => new Promise((resume) => setTimeout(resume, ms))
const opened = async (path: string) => {
  const begin = performance.now()
  const answer = await fetch(shop.base + path)
  await answer.text()
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`)
  return performance.now() - begin
}

for (let i = 0; i < 3; i++) for (const path of PATHS) await opened(path)
const alone: number[] = []
for (let i = 0; i < (SMALL ? 1 : 6); i++) for (const path of PATHS) alone.push(await opened(path))
const today = median(await Promise.resolve(alone.filter((_, i) => i % PATHS.length === 0))) ?? 0

const until = performance.now() + MINUTES * 60_000
const taken: number[] = []
const memory: number[] = [shop.memory()]
async function device(n: number): Promise<void> {
  await wait((EVERY / DEVICES) * n)
  for (let i = n; performance.now() < until; i++) {
    const ms = await opened(PATHS[i % PATHS.length] as string)
    taken.push(ms)
    await wait(Math.max(0, EVERY - ms))
  }
}
const watching = setInterval(() => memory.push(shop.memory()), SMALL ? 500 : 10_000)
await Promise.all(Array.from({ length: DEVICES }, (_, n) => device(n)))
clearInterval(watching)
memory.push(shop.memory())
const [p50, p95] = [0.5, 0.95].map((q) => quantile(taken, q) ?? Number.NaN) as [number, number]
const one = median(alone) ?? Number.NaN
const [half, end] = [memory[memory.length >> 1] ?? 0, memory.at(-1) ?? 0]
console.log(`one device: ${one.toFixed(0)} ms a page, Today ${today.toFixed(0)} ms`)
console.log(
  `${DEVICES} devices for ${MINUTES} min, ${taken.length} pages: p50 ${p50.toFixed(0)} ms, p95 ${p95.toFixed(0)} ms; memory ${memory[0]?.toFixed(0)} MB at the start, ${half.toFixed(0)} half way, ${end.toFixed(0)} at the end, ${Math.max(...memory).toFixed(0)} at most`,
)
shop.end()
console.log(
  `devices: p50 ${(p50 / one).toFixed(2)}x, p95 ${(p95 / one).toFixed(2)}x of one device; memory ${(end / half).toFixed(2)}x of half way`,
)
process.exit(0)
