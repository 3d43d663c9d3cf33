// What a consultant waits for on the bench: its first load, and a key until the new picture.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { chromium } from '@playwright/test'
import sharp from 'sharp'
import { launchOptions } from '../lib/browser.mjs'
import { run, seedDemo } from '../lib/prepare.mjs'
import { freePort, startServer } from '../lib/server.mjs'

const KEYS_PRESSED = 60
const VERDICTS_GIVEN = 9

export async function measureBench() {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-bench-'))
  const dataDir = join(scratch, 'data')
  await seedDemo(dataDir)
  const browser = await chromium.launch(launchOptions)
  let server = await startServer({ port: await freePort(), dataDir })
  try {
    const bench = await benchAddress(browser, server.url)
    console.log(
      `first-load JavaScript of the bench: ${await scriptKilobytes(browser, bench)} kB gzipped`,
    )
    const { median, slow } = await keyToPicture(browser, bench)
    console.log(
      `key to new picture: ${median.toFixed(1)} ms median, ${slow.toFixed(1)} ms at the 95th percentile`,
    )
    const verdict = await verdictCost(browser, bench)
    console.log(
      `the next pair ${verdict.next.toFixed(0)} ms after the key; a verdict from key to kept: ${verdict.ms.toFixed(0)} ms median, ${verdict.requests} request, ${verdict.bytes} bytes back ` +
        '(before: 245 to 980 ms, 27 requests, 38 kB)',
    )
    const shortlist = bench.replace(/bench$/, 'shortlist')
    console.log(
      `first-load JavaScript of the shortlist: ${await scriptKilobytes(browser, shortlist)} kB gzipped`,
    )
    for (const view of ['light', 'bench', 'shortlist', 'trial'])
      await printDrag(browser, bench.replace(/bench$/, view), view)
    await printDrag(browser, `${bench}?in=room`, 'room itself, its picture in a worker')
    await printTakingUp(browser, shortlist)
    await printBigDeck(browser, server.url, shortlist)
    await stop(server)
    const [, visit, kitchen] = bench.match(/visits\/([^/]+)\/rooms\/([^/]+)/)
    await run('node', ['--import', 'tsx', 'scripts/bench/full-room.ts', dataDir, visit, kitchen])
    server = await startServer({ port: await freePort(), dataDir })
    const keepers = bench
      .replace(/^.*?\/visits/, `${server.url}/visits`)
      .replace(/bench$/, 'keepers')
    await printDrag(browser, keepers, 'keepers of a full room')
    const photo = await photoCost(browser, keepers, scratch)
    console.log(
      `a photo of 12 megapixels: drawn in ${photo.drawn.toFixed(0)} ms, from the tap on its card to its ` +
        `${photo.colours} colours ${photo.read.toFixed(0)} ms; longest task ${photo.longest.toFixed(0)} ms`,
    )
  } finally {
    await browser.close()
    await stop(server)
    rmSync(scratch, { recursive: true, force: true })
  }
}

async function stop(server) {
  server.child.kill('SIGTERM')
  await server.ended
}

async function printDrag(browser, address, name) {
  const { swatches, drags } = await dragCost(browser, address)
  // The machine's own hiccups come and go: every drag is printed, the calmest first.
  const said = drags
    .sort((p, q) => p.slow - q.slow)
    .map(
      ({ median, slow, ran, longest }) =>
        `${median.toFixed(1)} / ${slow.toFixed(1)} / ${ran.toFixed(1)} / ${longest.toFixed(0)}`,
    )
  console.log(
    `dragging the light bar over the ${name} (${swatches} swatches), script a frame in ms, ` +
      `median / 95th percentile / the same of what the thread ran / longest task: ${said.join(', ')}`,
  )
}

async function benchAddress(browser, url) {
  const page = await browser.newPage({ serviceWorkers: 'block' })
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
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
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
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
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

/** A verdict from its key until the store has it, and what came over the wire for it. */
async function verdictCost(browser, bench) {
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
  await page.goto(bench)
  await page.locator('html[data-ready=yes]').waitFor()
  await page.waitForLoadState('networkidle')
  const sizes = []
  page.on('requestfinished', (request) => sizes.push(request.sizes()))
  const times = []
  const next = await page.evaluate(nextPair)
  for (let n = 1; n < VERDICTS_GIVEN; n++) {
    await page.keyboard.press('ArrowRight')
    const started = performance.now()
    const kept = page.waitForEvent('requestfinished', (request) =>
      request.url().includes('/api/commands'),
    )
    await page.keyboard.press('w')
    await kept
    times.push(performance.now() - started)
  }
  const all = await Promise.all(sizes)
  await page.close()
  return {
    next,
    ms: times.sort((p, q) => p - q)[Math.floor(times.length / 2)],
    requests: all.length / (times.length + 1),
    bytes: all.reduce((sum, size) => sum + size.responseBodySize, 0) / (times.length + 1),
  }
}

/** In the page: from a verdict's key to the frame that shows the next pair. */
function nextPair() {
  return new Promise((done) => {
    const started = performance.now()
    const shown = new MutationObserver(() => {
      shown.disconnect()
      requestAnimationFrame(() => done(performance.now() - started))
    })
    shown.observe(document.querySelector('[data-testid=place]'), {
      childList: true,
      characterData: true,
      subtree: true,
    })
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'w' }))
  })
}

const BIG = 20_000
const SCROLLED_FRAMES = 240

/** A deck of the trade's largest size: taken in, ranked in the worker of a page, and scrolled through. */
async function printBigDeck(browser, url, shortlist) {
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
  await page.goto(`${url}/decks`)
  await page.locator('html[data-ready=yes]').waitFor()
  await page.getByLabel('Maker').fill('Oddney and Daughters')
  await page.getByLabel('Name of the deck').fill('Twenty Thousand')
  const lines = Array.from({ length: BIG }, (_, i) => {
    const [l, a, b] = [
      30 + ((i * 37) % 600) / 10,
      ((i * 91) % 160) / 10 - 7,
      ((i * 53) % 220) / 10 - 8,
    ]
    return `Q${i},Tint ${i},${l},${a.toFixed(2)},${b.toFixed(2)},S${Math.floor(i / 8)},white`
  })
  const began = performance.now()
  await page.getByLabel('Deck file').setInputFiles({
    name: 'deck.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`code,name,L,a,b,strip,base\n${lines.join('\n')}\n`),
  })
  await page.getByRole('region', { name: 'Preview' }).waitFor()
  const read = performance.now() - began
  await page.getByRole('button', { name: 'Import the deck' }).click()
  await page.getByText('20,000 colours imported.').waitFor({ timeout: 120_000 })
  console.log(
    `a deck of 20,000 colours: read and shown after ${(read / 1000).toFixed(1)} s, taken in after ${((performance.now() - began) / 1000).toFixed(1)} s`,
  )
  await page.addInitScript(() => {
    window.rankedMs = []
    const Plain = window.Worker
    window.Worker = class extends Plain {
      constructor(...args) {
        super(...args)
        this.addEventListener('message', ({ data }) => {
          if ('first' in data) window.rankedMs.push(['first', data.ms])
          if ('whole' in data) window.rankedMs.push(['all', data.ms])
        })
      }

      // A room of eight lights and twelve keepers, made of the one that is asked about.
      postMessage(message, ...rest) {
        if (message.task === 'rank' && window.isFullRoom) {
          const { lights, finishes } = message.room
          const minute = (i) => 480 + 80 * i
          message.room = {
            ...message.room,
            lights: Array.from({ length: 8 }, (_, i) => ({
              ...lights[0],
              choice: { ...lights[0].choice, minute: minute(i) },
              matters: 1 - i / 20,
            })),
            finishes: Array.from({ length: 12 }, (_, i) => {
              const one = finishes[i % finishes.length]
              return {
                ...one,
                keeperId: `keeper ${i}`,
                reflectance: one.reflectance.map((v) => v ** (0.8 + 0.05 * i)),
              }
            }),
          }
        }
        super.postMessage(message, ...rest)
      }
    }
  })
  await page.goto(shortlist)
  await page.locator('html[data-ready=yes]').waitFor()
  const turns = []
  for (let turn = 0; turn < 8; turn++) {
    await page.waitForFunction((wanted) => window.rankedMs.length >= wanted, 2 * (turn + 1), {
      timeout: 60_000,
    })
    turns.push(await page.evaluate((from) => window.rankedMs.slice(from), 2 * turn))
    if (turn === 3) await page.evaluate(() => (window.isFullRoom = true))
    // Another house rule: it is ranked anew, with the decks at hand.
    if (turn === 0) await page.getByText('By the house rules').click()
    const rule = page.getByLabel('Weakest useful strength')
    const values = await rule.locator('option').evaluateAll((all) => all.map(({ value }) => value))
    const now = await rule.inputValue()
    await rule.selectOption(values.find((value) => value !== now))
  }
  const words = (some) =>
    some.map((turn) => turn.map(([what, ms]) => `${what} ${ms.toFixed(0)}`).join(', ')).join('; ')
  console.log(
    `ranking 21,200 colours at their strengths in a page’s worker, each turn by another house rule, ms from the decks at hand: ${words(turns.slice(0, 4))}`,
  )
  console.log(`  the same with 8 lights × 12 keepers: ${words(turns.slice(4))}`)
  const bands = page.getByRole('listbox', { name: 'Tones' })
  const box = await bands.boundingBox()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await browser.startTracing(page, {
    categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'v8'],
  })
  for (let i = 0; i < SCROLLED_FRAMES; i++) {
    const due = performance.now() + FRAME_MS
    await page.mouse.wheel(i < SCROLLED_FRAMES / 2 ? 120 : -120, 0)
    await sleep(Math.max(0, due - performance.now()))
  }
  const events = JSON.parse((await browser.stopTracing()).toString()).traceEvents
  const { median, slow, longest } = frameFigures(events, 'wheel')
  console.log(
    `scrolling the tones of 20,000 colours, script a frame in ms, median / 95th percentile / longest task: ${median.toFixed(1)} / ${slow.toFixed(1)} / ${longest.toFixed(0)}`,
  )
  await page.close()
}

/** From the file to the drawn photo, and from the tap on its card to the colours; the page's longest task meanwhile. */
async function photoCost(browser, keepers, scratch) {
  const [width, height] = [4000, 3000]
  const noise = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#777777',
      noise: { type: 'gaussian', mean: 128, sigma: 12 },
    },
  })
    .png()
    .toBuffer()
  const band = (background, top) => ({
    input: { create: { width, height: 750, channels: 3, background } },
    blend: 'soft-light',
    top,
    left: 0,
  })
  const card = {
    input: { create: { width: 500, height: 500, channels: 3, background: '#e0d4c0' } },
  }
  // As a file on disk: handed over as bytes, the measuring itself would hold the page.
  const file = join(scratch, 'photo.jpg')
  await sharp(noise)
    .composite([
      band('#b99a82', 0),
      band('#3a4a58', 750),
      band('#a36a60', 1500),
      band('#d8c8b0', 2250),
      { ...card, top: 0, left: 0 },
    ])
    .jpeg({ quality: 92 })
    .toFile(file)
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
  await page.goto(keepers)
  await page.locator('html[data-ready=yes]').waitFor()
  await page.getByRole('button', { name: 'Add what stays' }).click()
  await page.evaluate(() => {
    window.longestTask = 0
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries())
        window.longestTask = Math.max(window.longestTask, duration)
    }).observe({ type: 'longtask' })
  })
  const start = performance.now()
  await page.getByLabel('Photo with a card').setInputFiles(file)
  await page.getByText(/^Now tap the/).waitFor()
  const drawn = performance.now() - start
  await page.getByLabel('Beside it lies').selectOption('card')
  await page.getByText('Now tap the white card').waitFor()
  const photo = page.getByRole('button', { name: /tap its white card/ })
  const box = await photo.boundingBox()
  const tapped = performance.now()
  await photo.click({ position: { x: box.width / 16, y: box.height / 12 } })
  const rows = page.getByRole('list', { name: 'Colours found' }).getByRole('listitem')
  await rows.first().waitFor()
  const read = performance.now() - tapped
  const [colours, longest] = [await rows.count(), await page.evaluate(() => window.longestTask)]
  await page.close()
  return { drawn, read, colours, longest }
}

const FRAMES_DRAGGED = 240
// The first frames still compile.
const FRAMES_SKIPPED = 40
const DRAGS = 4
const FRAME_MS = 1000 / 60
const SCRIPT_EVENTS = new Set([
  'EventDispatch',
  'FunctionCall',
  'EvaluateScript',
  'RunMicrotasks',
  'TimerFire',
  'FireAnimationFrame',
  'MinorGC',
  'MajorGC',
])

/** Script time from one move of the hand to the next while the bar's handle is dragged over the day and back. */
async function dragCost(browser, address) {
  const page = await browser.newPage({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  })
  const at = 'light=room&at=09:00&sky=clear&lamps=off'
  await page.goto(`${address}${address.includes('?') ? '&' : '?'}${at}`)
  await page.locator('html[data-ready=yes]').waitFor()
  if (address.includes('in=room')) await page.locator('canvas[role=img]').first().waitFor()
  await page.waitForLoadState('networkidle')
  const box = await page.getByRole('slider', { name: 'Time of day' }).boundingBox()
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  const drags = []
  for (let drag = 0; drag < DRAGS; drag++)
    drags.push(dragFigures(await dragTrace(browser, page, x, y)))
  await page.mouse.up()
  const swatches = await page.locator('[data-hex]').count()
  await page.close()
  return { swatches, drags }
}

/** The browser's own trace of one drag there and back: nothing of the measuring runs in the page. */
async function dragTrace(browser, page, x, y) {
  await browser.startTracing(page, {
    categories: ['devtools.timeline', 'disabled-by-default-devtools.timeline', 'v8'],
  })
  for (let i = 0; i < FRAMES_DRAGGED; i++) {
    const due = performance.now() + FRAME_MS
    await page.mouse.move(x + 200 * Math.sin((i / FRAMES_DRAGGED) * Math.PI * 8), y)
    await sleep(Math.max(0, due - performance.now()))
  }
  return JSON.parse((await browser.stopTracing()).toString()).traceEvents
}

const dragFigures = (events) => frameFigures(events, 'pointermove')

function frameFigures(events, type) {
  const isMove = ({ name, args }) => name === 'EventDispatch' && args?.data?.type === type
  const { pid, tid } = events.find(isMove)
  const inPage = events
    .filter((event) => event.pid === pid && event.tid === tid && event.ph === 'X')
    .sort((p, q) => p.ts - q.ts)
  const moves = inPage.filter(isMove).map(({ ts }) => ts)
  const frames = new Array(moves.length - 1).fill(0)
  const own = new Array(moves.length - 1).fill(0)
  let frame = -1
  let until = 0
  for (const { name, ts, dur, tdur } of inPage) {
    while (frame + 1 < moves.length && ts >= moves[frame + 1]) frame++
    if (!SCRIPT_EVENTS.has(name) || frame < 0 || frame >= frames.length) continue
    // Calls stand within calls: only what lies beyond the last one's end is new.
    const since = Math.max(0, ts + dur - Math.max(ts, until))
    frames[frame] += since / 1000
    // What the thread itself ran: on two cores the worker and the browser take their turns in between.
    own[frame] += Math.min(since, tdur ?? since) / 1000
    until = Math.max(until, ts + dur)
  }
  const [sorted, ran] = [frames, own].map((each) =>
    each.slice(FRAMES_SKIPPED).sort((p, q) => p - q),
  )
  return {
    median: sorted[Math.floor(sorted.length / 2)],
    slow: sorted[Math.floor(sorted.length * 0.95)],
    ran: ran[Math.floor(ran.length * 0.95)],
    longest: Math.max(
      ...inPage.filter(({ name }) => name === 'RunTask').map(({ dur }) => dur / 1000),
    ),
  }
}

const TAKEN_UP = 100
const TAKEN_BY_HAND = 8

/** From the key that takes a colour up until it is counted among what is proposed, with a hundred of them there. */
async function printTakingUp(browser, shortlist) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(shortlist)
  await page.locator('html[data-ready=yes]').waitFor()
  await page.evaluate(async (most) => {
    const [, visitId, roomId] = location.pathname.match(/visits\/([^/]+)\/rooms\/([^/]+)/)
    const ids = new Set()
    for (const letter of 'abcdefghijklmnopqrstuvwxyz') {
      const found = await fetch(`/api/deck-colours?q=${letter}`)
      for (const { id } of await found.json()) ids.add(id)
    }
    for (const deckColourId of [...ids].slice(0, most)) {
      const [id, candidateId, proposalId] = [0, 1, 2].map(() => crypto.randomUUID())
      const payload = { visitId, roomId, candidateId, proposalId, deckColourId }
      const rest = { strengthPercent: 100, surface: 'walls', sheen: 'matt' }
      const change = { id, kind: 'take-up', actor: 'Bench', device: 'bench' }
      const madeAt = new Date().toISOString()
      const body = JSON.stringify({ ...change, madeAt, payload: { ...payload, ...rest } })
      await fetch('/api/commands', { method: 'POST', body })
    }
  }, TAKEN_UP)
  await page.reload()
  await page.locator('html[data-ready=yes]').waitFor()
  await page.getByRole('region', { name: 'First ten' }).getByRole('button').first().waitFor()
  await page.waitForLoadState('networkidle')
  const times = []
  let before = 0
  for (let n = 0; n < TAKEN_BY_HAND; n++) {
    await page.keyboard.press('ArrowDown')
    await sleep(400)
    const taken = await page.evaluate(async () => {
      const tab = [...document.querySelectorAll('[role=tab]')].find((each) =>
        each.textContent.startsWith('Proposed'),
      )
      const [from, start] = [tab.textContent, performance.now()]
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
      while (tab.textContent === from && performance.now() - start < 5000)
        await new Promise((next) => requestAnimationFrame(next))
      const ms = performance.now() - start
      return { ms: tab.textContent === from ? null : ms, count: tab.textContent }
    })
    // One that was taken up before changes nothing.
    if (taken.ms !== null) times.push(taken.ms)
    before = taken.count
  }
  times.sort((p, q) => p - q)
  console.log(
    `taking a colour up, ${before.replace(/\D+/g, '')} proposed: ${times[Math.floor(times.length / 2)].toFixed(0)} ms median, ${times.at(-1).toFixed(0)} ms the slowest, from the key until it is counted`,
  )
  await page.close()
}
