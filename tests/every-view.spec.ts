import { expect } from '@playwright/test'
import { crowding, faultsOf, open, overhang, scrolling, test } from './app'
import { everyView } from './views'

// One of the views is an address of nothing.
const NOTHING_THERE = /status of 404/
const WIDTHS = [
  [1280, 800],
  [1180, 820],
  [1024, 768],
  [820, 1180],
  [390, 844],
] as const

// Two halves, for two workers. What the console says of them fails any test of a page.
for (const half of [0, 1])
  test(`no view is wider than any of five widths, nothing lies over anything or is cut at them, one thing scrolls, axe finds nothing on it at one of them, and no request leaves this machine, ${half + 1} of 2`, async ({
    page,
    app,
    consoleMay,
  }) => {
    consoleMay.push(NOTHING_THERE)
    test.setTimeout(120_000)
    const hosts = new Set<string>()
    page.on('request', (request) => hosts.add(new URL(request.url()).host))
    const addresses = (await everyView(page, app)).filter((_, i) => i % 2 === half)
    for (const [at, address] of addresses.entries()) {
      // Axe takes longer than the page: at each width in turn.
      const asked = WIDTHS[at % WIDTHS.length]!
      await open(page, address)
      await page.waitForLoadState('networkidle')
      for (const size of WIDTHS) {
        const [width, height] = size
        await page.setViewportSize({ width, height })
        await expect.poll(() => overhang(page), { message: `${address} at ${width}` }).toBe(0)
        await expect.poll(() => crowding(page), { message: `${address} at ${width}` }).toEqual([])
        const scrolls = await scrolling(page)
        expect(scrolls.length, `${address} at ${width} scrolls ${scrolls.join(', ')}`).toBeLessThan(
          2,
        )
        if (size === asked) expect(await faultsOf(page), `${address} at ${width}`).toEqual([])
      }
    }
    expect([...hosts]).toEqual([`127.0.0.1:${app.port}`])
  })
