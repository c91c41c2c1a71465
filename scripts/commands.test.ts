import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const inTmp = () => mkdtempSync(join(tmpdir(), 'orvint-'))
const run = (code: string, env: Readonly<Record<string, string>> = {}) =>
  spawnSync(
    process.execPath,
    ['--input-type=module', '--eval', `import * as lib from './scripts/lib.mjs'; ${code}`],
    {
      encoding: 'utf8',
      env: { ...process.env, ...env },
    },
  )

it('a Node that is too old is named', () => {
  expect(run(`lib.checkNode('18.20.1')`)).toMatchObject({
    status: 1,
    stderr: 'Orvint needs Node 20.19 or newer; this is Node 18.20.1.\n',
  })
  expect(run(`lib.checkNode('20.18.0')`).status).toBe(1)
  expect(run(`lib.checkNode('20.19.0'); lib.checkNode('24.0.0')`)).toMatchObject({ status: 0, stderr: '' })
})

it('a data folder that cannot be written is named', () => {
  const file = join(inTmp(), 'a-file')
  writeFileSync(file, '')
  const folder = join(file, 'data')
  const said = `The data folder ${folder} cannot be written: choose another with ORVINT_DATA.\n`
  expect(run(`lib.dataFolder('data')`, { ORVINT_DATA: folder })).toMatchObject({ status: 1, stderr: said })
})

it('a port that is taken, or no port at all, is named', async () => {
  const other = createServer()
  const port = await new Promise<number>((ready) =>
    other.listen(0, '127.0.0.1', () => ready((other.address() as { port: number }).port)),
  )
  const taken = run(`await lib.serve('${inTmp()}', lib.address(['--port', '${port}']))`)
  other.close()
  expect(taken).toMatchObject({
    status: 1,
    stderr: `Port ${port} is taken: stop what uses it, or choose another with --port.\n`,
  })
  expect(run(`lib.address(['--port', 'http'])`)).toMatchObject({
    status: 1,
    stderr: '--port wants a number from 1 to 65535.\n',
  })
})

it('a flag without its value, or one that no one knows, is told', () => {
  for (const [args, said] of [
    ["['--port']", '--port wants a number from 1 to 65535 after it, for example --port 3000.\n'],
    ["['--port', '--host']", '--port wants a number from 1 to 65535 after it, for example --port 3000.\n'],
    ["['--port', '0x20']", '--port wants a number from 1 to 65535.\n'],
    ["['--prot', '80']", 'Orvint does not know --prot; it knows --port, --host, --allow-host.\n'],
  ] as const)
    expect(run(`lib.address(${args})`), args).toMatchObject({ status: 1, stderr: said })
  expect(run(`console.log(lib.address(['--allow-host', 'shop.local']).allow.join())`).stdout).toBe(
    'shop.local\n',
  )
})

it('listens on this machine only unless told otherwise', () => {
  expect(run(`console.log(JSON.stringify(lib.address([])))`).stdout).toBe(
    '{"port":3000,"host":"127.0.0.1","allow":[]}\n',
  )
})
