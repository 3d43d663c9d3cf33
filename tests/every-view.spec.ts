import { AxeBuilder } from '@axe-core/playwright'
import { expect } from '@playwright/test'
import { open, test } from './app'
import { everyView } from './views'

// One of the views is an address of nothing.
const NOTHING_THERE = /status of 404/

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const)
  test(`axe finds nothing on any view ${width} px wide, and none is wider`, async ({
    page,
    app,
    consoleMay,
  }) => {
    consoleMay.push(NOTHING_THERE)
    test.setTimeout(180_000)
    const addresses = await everyView(page, app)
    await page.setViewportSize({ width, height })
    for (const address of addresses) {
      await open(page, address)
      const wide = await page.evaluate(() => document.documentElement.scrollWidth)
      expect(wide, address).toBeLessThanOrEqual(width)
      const { violations } = await new AxeBuilder({ page }).analyze()
      const found = violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)
      expect(found, address).toEqual([])
    }
  })

test('every request of every page stays on this machine, and nothing breaks the content policy', async ({
  page,
  app,
  consoleMay,
}) => {
  consoleMay.push(NOTHING_THERE)
  const hosts = new Set<string>()
  const complaints: string[] = []
  page.on('request', (request) => hosts.add(new URL(request.url()).host))
  page.on('console', (message) => {
    const missing = message.text().includes('404 (Not Found)')
    if (message.type() === 'error' && !missing) complaints.push(message.text())
  })
  page.on('pageerror', (error) => complaints.push(error.message))
  for (const address of await everyView(page, app)) {
    await open(page, address)
    await page.waitForLoadState('networkidle')
  }
  expect([...hosts]).toEqual([`127.0.0.1:${app.port}`])
  expect(complaints).toEqual([])
})
