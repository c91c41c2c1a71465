import { chromium } from '@playwright/test'
const [path, w, h, out, ...acts] = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const p = await b.newPage({ viewport: { width: +w, height: +h } })
p.on('console', (m) => ['error', 'warning'].includes(m.type()) && console.log(m.type(), m.text()))
p.on('pageerror', (e) => console.log('page error', e.message))
await p.goto('http://127.0.0.1:3499' + path)
await p.waitForTimeout(3500)
for (const a of acts) {
  const [k, ...r] = a.split(':'); const v = r.join(':')
  if (k === 'b') await p.getByRole('button', { name: new RegExp(v) }).first().click()
  else if (k === 't') await p.getByText(v).first().click()
  else if (k === 'w') await p.waitForTimeout(+v)
  else if (k === 'v') await p.locator(v).first().scrollIntoViewIfNeeded()
  else if (k === 'f') await p.locator(v).first().focus()
  else if (k === 'k') await p.keyboard.press(v)
  else if (k === 'd') { const [from, dx, dy] = v.split('|'); const bx = await p.locator(from).first().boundingBox(); await p.mouse.move(bx.x + 10, bx.y + 10); await p.mouse.down(); await p.mouse.move(bx.x + 10 + +dx / 2, bx.y + 10 + +dy / 2, { steps: 4 }); await p.mouse.move(bx.x + 10 + +dx, bx.y + 10 + +dy, { steps: 6 }); await p.waitForTimeout(800) }
}
console.log('sideways', await p.evaluate(() => document.documentElement.scrollWidth - innerWidth))
await p.screenshot({ path: out })
await b.close()
