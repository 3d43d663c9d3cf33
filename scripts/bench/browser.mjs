// What a consultant waits for on the bench: its first load, and a key until the new picture.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { launchOptions } from '../lib/browser.mjs'
import { seedDemo } from '../lib/prepare.mjs'
import { freePort, startServer } from '../lib/server.mjs'

const KEYS_PRESSED = 60

export async function measureBench() {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-bench-'))
  const dataDir = join(scratch, 'data')
  await seedDemo(dataDir)
  const server = await startServer({ port: await freePort(), dataDir })
  const browser = await chromium.launch(launchOptions)
  try {
    const bench = await benchAddress(browser, server.url)
    console.log(
      `first-load JavaScript of the bench: ${await scriptKilobytes(browser, bench)} kB gzipped`,
    )
    const { median, slow } = await keyToPicture(browser, bench)
    console.log(
      `key to new picture: ${median.toFixed(1)} ms median, ${slow.toFixed(1)} ms at the 95th percentile`,
    )
    for (const view of ['bench', 'keepers', 'shortlist']) {
      const drag = await dragCost(browser, bench.replace(/bench$/, view))
      console.log(
        `dragging the light bar over the ${view} (${drag.swatches} swatches): script a frame ` +
          `${drag.median.toFixed(1)} ms median, ${drag.slow.toFixed(1)} ms at the 95th percentile; ` +
          `longest task ${drag.longest.toFixed(0)} ms`,
      )
    }
  } finally {
    await browser.close()
    server.child.kill('SIGTERM')
    await server.ended
    rmSync(scratch, { recursive: true, force: true })
  }
}

async function benchAddress(browser, url) {
  const page = await browser.newPage()
  await page.goto(url)
  await page.goto(url + (await page.getByRole('link', { name: /Orrin-Vale/ }).getAttribute('href')))
  const kitchen = await page
    .getByRole('link', { name: /^Kitchen/ })
    .first()
    .getAttribute('href')
  await page.close()
  return url + kitchen.replace(/\/light.*$/, '/bench')
}

/** Scripts that a browser with an empty cache fetches until the bench answers to keys. */
async function scriptKilobytes(browser, bench) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const sizes = []
  page.on('requestfinished', (request) => {
    if (request.resourceType() === 'script') sizes.push(request.sizes())
  })
  await page.goto(bench)
  await page.locator('html[data-ready=yes]').waitFor()
  const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size.responseBodySize, 0)
  await page.close()
  return Math.round(bytes / 1000)
}

/** From the key’s own time stamp to the frame after the candidate’s swatch changed. */
async function keyToPicture(browser, bench) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(bench)
  await page.locator('html[data-ready=yes]').waitFor()
  await page.evaluate(() => {
    window.pictureTimes = []
    let pressed = 0
    window.addEventListener('keydown', (event) => (pressed = event.timeStamp), { capture: true })
    new MutationObserver(() =>
      requestAnimationFrame(() => {
        if (pressed) window.pictureTimes.push(performance.now() - pressed)
        pressed = 0
      }),
    ).observe(document.querySelector('main'), {
      subtree: true,
      attributes: true,
      attributeFilter: ['data-hex'],
    })
  })
  for (let i = 1; i <= KEYS_PRESSED; i++) {
    await page.keyboard.press('ArrowRight')
    await page.waitForFunction((wanted) => window.pictureTimes.length >= wanted, i)
  }
  const times = (await page.evaluate(() => window.pictureTimes)).sort((p, q) => p - q)
  await page.close()
  return {
    median: times[Math.floor(times.length / 2)],
    slow: times[Math.floor(times.length * 0.95)],
  }
}

const FRAMES_DRAGGED = 120

/** Script time of every frame while the bar's handle is dragged over the day and back. */
async function dragCost(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}?light=room&at=09:00&sky=clear&lamps=off`)
  await page.locator('html[data-ready=yes]').waitFor()
  await page.waitForLoadState('networkidle')
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const scriptMs = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    return 1000 * metrics.find(({ name }) => name === 'ScriptDuration').value
  }
  await page.evaluate(() => {
    window.longestTask = 0
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries())
        window.longestTask = Math.max(window.longestTask, duration)
    }).observe({ type: 'longtask' })
  })
  const box = await page.getByRole('slider', { name: 'Time of day' }).boundingBox()
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  const frames = async (reach) => {
    const times = []
    for (let i = 0; i < FRAMES_DRAGGED; i++) {
      const before = await scriptMs()
      await page.mouse.move(x + reach * Math.sin((i / FRAMES_DRAGGED) * Math.PI * 4), y)
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => done())))
      times.push((await scriptMs()) - before)
    }
    // The first frames still compile.
    return times.slice(20).sort((p, q) => p - q)
  }
  const sorted = await frames(200)
  // The measuring runs script of its own; a hand that holds still shows how much.
  const still = (await frames(0))[Math.floor((FRAMES_DRAGGED - 20) / 2)]
  await page.mouse.up()
  const longest = await page.evaluate(() => window.longestTask)
  const swatches = await page.locator('[data-hex]').count()
  await page.close()
  return {
    swatches,
    longest,
    median: sorted[Math.floor(sorted.length / 2)] - still,
    slow: sorted[Math.floor(sorted.length * 0.95)] - still,
  }
}
