import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer } from '../scripts/lib.mjs'
import { expect, open, reload, saveStatus, test } from './house'
import { BROKEN_PORT } from './ports'

test('the server is killed in a stream of all that is written: what it acknowledged is there, once', () => {
  const out = execFileSync(process.execPath, ['scripts/torture.mjs', '6'], {
    encoding: 'utf8',
    timeout: 110_000,
  })
  const [, killed, deeds = '', failures] =
    /torture: killed (\d+) times, (.*) acknowledged, (\d+) failures/.exec(out) ?? []
  expect([killed, failures]).toEqual(['6', '0'])
  const count = deeds.match(/\d+/g)?.reduce((sum, x) => sum + Number(x), 0)
  expect(count).toBeGreaterThan(0)
})

/** Mounts as root, or as someone who may become root without being asked. */
const asRoot = (...command: string[]) => {
  const [name = '', ...args] = process.getuid?.() === 0 ? command : ['sudo', '-n', ...command]
  execFileSync(name, args, { stdio: 'ignore' })
}

test.describe('a disk that fails', () => {
  const PORT = BROKEN_PORT
  test.use({ baseURL: `http://127.0.0.1:${PORT}` })
  // The server is killed under an open page.
  test.use({ mayFail: /net::ERR_/ })
  /** A small disk of its own. */
  let disk = ''
  let server: ReturnType<typeof startServer>
  const start = async () => {
    server = startServer(join(disk, 'data'), { port: PORT }, { stdio: 'ignore' })
    while (!(await fetch(`http://127.0.0.1:${PORT}/icon.svg`).catch(() => undefined))?.ok)
      await new Promise((resume) => setTimeout(resume, 100))
  }
  const end = async () => {
    server.kill('SIGKILL')
    await new Promise((gone) => server.on('exit', gone))
  }
  test.beforeAll(async () => {
    disk = mkdtempSync(join(tmpdir(), 'orvint-disk-'))
    asRoot('mount', '-t', 'tmpfs', '-o', 'size=6m,mode=777', 'tmpfs', disk)
    mkdirSync(join(disk, 'data'))
    execFileSync(process.execPath, ['--import', 'tsx', 'scripts/seed.ts'], {
      env: { ...process.env, ORVINT_DATA: join(disk, 'data'), ORVINT_DEMO_FILMS: 'none' },
    })
    await start()
  })
  test.afterAll(async () => {
    await end()
    asRoot('umount', disk)
    rmSync(disk, { recursive: true, force: true })
  })

  test('full: it says so, keeps what was typed, and saves when there is room again', async ({ page }) => {
    await open(page, '/orders/O-1001/order')
    const filler = join(disk, 'filler')
    const { bavail, bsize } = statfsSync(disk)
    writeFileSync(filler, Buffer.alloc(bavail * bsize))
    const notes = page.getByLabel('Notes')
    await notes.fill('x'.repeat(1500))
    await expect(async () => {
      await notes.fill('y'.repeat(1900 + Math.floor(Math.random() * 99)))
      await expect(saveStatus(page)).toHaveText(/^The disk is full, so nothing was saved/, { timeout: 1500 })
    }).toPass()
    const typed = await notes.inputValue()
    rmSync(filler)
    await page.getByLabel('Job').fill('Open nights')
    await expect(saveStatus(page)).toHaveText('Saved')
    await reload(page)
    await expect(notes).toHaveValue(typed)
  })

  test('read-only: it says so instead of breaking', async ({ page }) => {
    await end()
    asRoot('mount', '-o', 'remount,ro', disk)
    await start()
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'The data cannot be opened' })).toBeVisible()
    await expect(page.locator('main')).toContainText('The data folder cannot be written')
    await expect(page.locator('main')).toContainText(join(disk, 'data'))
    await page.goto('about:blank')
    await end()
    asRoot('mount', '-o', 'remount,rw', disk)
    await start()
    await page.goto('/')
    await expect(page.getByText('Kittiwake Count')).toBeVisible()
  })
})
