/** `npm run -s plan -- job.json`: prints the plan of a job file as JSON. Exit 2 with what is wrong on standard error. */
import { readFileSync } from 'node:fs'
import { planWithBesides } from '../src/core/plan'
import { planOut, readJob } from '../src/formats'

const refuse = (lines: readonly string[]): never => {
  for (const line of lines) process.stderr.write(`${line}\n`)
  process.exit(2)
}

function read(file: string | undefined): string {
  if (file === undefined) return refuse(['Which job file? npm run -s plan -- job.json'])
  try {
    return readFileSync(file, 'utf8')
  } catch {
    return refuse([`Cannot read ${file}.`])
  }
}

const job = readJob(read(process.argv[2]))
if (!job.ok) refuse(job.wrong)
else {
  const { plan, besides } = planWithBesides(job.job.order, job.job.shop, job.job.decisions)
  process.stdout.write(`${JSON.stringify(planOut(plan, besides), null, 2)}\n`)
}
