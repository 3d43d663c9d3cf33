import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, type BrowserContext, type Page } from '@playwright/test'
import sharp from 'sharp'
import { launchOptions } from '../scripts/lib/browser.mjs'
import { ROOM_STEPS } from '../src/ui/frame/steps'
import { demoRoom, demoVisit, open, test } from './app'
import { changesOf } from './changes'
import { NAMES } from './names'

test.use({ ownServer: true })

const LOOKS = Number(process.env.ELM_OFFLINE_LOOKS ?? 8)
const A_DAY = 84
// All of them with ELM_LONG=1.
const OPENED = ['shortlist', 'trial', 'bench', 'ruling', 'sheet'] as const
const LIGHTS = ['clear', 'partly', 'overcast'].flatMap((sky) =>
  ['off', 'on'].map((lamps) => [sky, lamps] as const),
)
const profile = mkdtempSync(join(tmpdir(), 'elm-profile-'))
test.afterAll(() => rmSync(profile, { recursive: true, force: true, maxRetries: 5 }))

/** A browser that keeps what it has when it is closed. */
const browser = (dir = profile): Promise<BrowserContext> =>
  chromium.launchPersistentContext(dir, {
    ...launchOptions,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'allow',
  })

const waiting = (page: Page) => page.getByRole('button', { name: /waiting for the server$/ })
const looksGiven = async (visit: string, page: Page): Promise<number> =>
  (await changesOf(page.request, visit)).filter(({ kind }) => kind === 'keep-look').length

test(`without the server: ${LOOKS} looks, the browser closed in the middle, and all are there once, in order`, async ({
  ownApp: app,
}) => {
  test.setTimeout(240_000 + LOOKS * 2_000)
  const visit = demoVisit(app)
  const room = demoRoom(visit, 'Kitchen')
  let context = await browser()
  let page = await context.newPage()
  await open(page, `${room}/bench?by=pair`)
  const before = await looksGiven(visit, page)
  // The whole visit is taken along.
  await expect(page.locator('html')).toHaveAttribute('data-along', visit.split('/').at(-1)!, {
    timeout: 120_000,
  })
  await app.end('SIGKILL')

  let given = 0
  // What waits besides looks.
  let besides = 0
  /** Verdicts by key, each a step later in the day; a day of another light after so many. */
  async function rule(until: number): Promise<void> {
    for (; given < until; given++) {
      if (given % A_DAY === 0) {
        const [sky, lamps] = LIGHTS[given / A_DAY]!
        await open(page, `${room}/bench?by=pair&light=room&at=06:00&sky=${sky}&lamps=${lamps}`)
      }
      await page.keyboard.press('.')
      // At the end of the round the pair at hand was just ruled on.
      await page.keyboard.press('+')
      await page.keyboard.press(given % 3 === 0 ? 'n' : 'w')
      await expect(waiting(page)).toHaveText(`${given + 1 + besides} waiting for the server`)
    }
  }
  await rule(LOOKS / 2)
  // A photo of the moment waits with its look.
  const corner = await sharp({
    create: { width: 64, height: 48, channels: 3, background: '#a08060' },
  })
    .jpeg()
    .toBuffer()
  await page.keyboard.press('/')
  await page
    .getByLabel('Photo of the moment')
    .setInputFiles({ name: 'corner.jpg', mimeType: 'image/jpeg', buffer: corner })
  besides = 1
  await expect(waiting(page)).toHaveText(`${LOOKS / 2 + 1} waiting for the server`)

  // Every judging view opens, of rooms that were not looked at as well, and says where one is.
  for (const [name, steps] of [
    ['Kitchen', process.env.ELM_LONG ? ROOM_STEPS : OPENED],
    ['South bedroom', ['light', 'bench']],
  ] as const)
    for (const step of steps) {
      await open(page, `${demoRoom(visit, name)}/${step}`)
      await expect(page.locator('a[aria-current=page]', { hasText: name }).first()).toBeVisible()
    }
  await open(page, `${room}/bench?by=pair&in=room`)
  await expect(page.locator('figure[data-shown]:not([data-shown=""])')).toBeVisible({
    timeout: 30_000,
  })
  await page.goto(`${app.url}/decks`)
  await expect(page.getByRole('heading', { name: 'This page is not on this device' })).toBeVisible()

  await context.close()
  context = await browser()
  page = await context.newPage()
  await open(page, `${room}/bench?by=pair&light=room&at=18:00&sky=clear&lamps=off`)
  await expect(waiting(page)).toHaveText(`${LOOKS / 2 + 1} waiting for the server`)
  await rule(LOOKS)
  await waiting(page).click()
  await expect(page.getByRole('list', { name: 'Waiting' }).getByRole('listitem')).toHaveCount(
    LOOKS + 1,
  )

  await app.startAgain()
  await page.getByRole('button', { name: NAMES.tryAgainNow }).click()
  await expect
    .poll(() => looksGiven(visit, page), { timeout: 60_000 })
    .toBeGreaterThanOrEqual(before + LOOKS)
  await expect(waiting(page)).toHaveCount(0)
  const changes = (await changesOf(page.request, visit)).filter(({ kind }) => kind === 'keep-look')
  const fresh = changes.slice(before)
  expect(fresh).toHaveLength(LOOKS)
  expect(new Set(fresh.map(({ id }) => id)).size).toBe(LOOKS)
  expect(fresh.map(({ events }) => (events[0]!.after as { verdict: string }).verdict)).toEqual(
    Array.from({ length: LOOKS }, (_, n) => (n % 3 === 0 ? 'no' : 'works')),
  )
  // The photo went first, and the look names it by what it goes by in the store.
  const [why] = (await changesOf(page.request, visit)).filter(({ kind }) => kind === 'say-why')
  const hash = String((why!.events[0]!.after as { photo_hash: string }).photo_hash)
  expect(hash).toMatch(/^[0-9a-f]{64}$/)
  expect((await page.request.get(`${app.url}/api/photos/${hash}`)).status()).toBe(200)
  await context.close()
})

test('a new version takes over while changes wait, and none is lost', async ({ ownApp: app }) => {
  // A version is taken along whole, twice: three quarters of a minute on two cores.
  test.skip(!process.env.ELM_LONG, 'with ELM_LONG=1 only')
  test.setTimeout(240_000)
  const visit = demoVisit(app)
  const own = mkdtempSync(join(tmpdir(), 'elm-profile-'))
  const context = await browser(own)
  const page = await context.newPage()
  await open(
    page,
    `${demoRoom(visit, 'Kitchen')}/bench?by=pair&light=room&at=11:00&sky=clear&lamps=off`,
  )
  const before = await looksGiven(visit, page)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await context.route('**/api/commands', (route) => route.abort())
  await page.keyboard.press('w')
  await expect(waiting(page)).toHaveText('1 waiting for the server')
  await page.evaluate(async () => {
    const taken = new Promise((resolve) =>
      navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
    )
    await navigator.serviceWorker.register('/sw.js?build=the-next-one')
    await taken
  })
  expect(await page.evaluate(() => navigator.serviceWorker.controller?.scriptURL)).toContain(
    'build=the-next-one',
  )
  await page.reload()
  await expect(waiting(page)).toHaveText('1 waiting for the server')
  await context.unroute('**/api/commands')
  await waiting(page).click()
  await page.getByRole('button', { name: NAMES.tryAgainNow }).click()
  await expect.poll(() => looksGiven(visit, page)).toBe(before + 1)
  await context.close()
  rmSync(own, { recursive: true, force: true, maxRetries: 5 })
})

test('a browser that is nearly full says so before it is', async ({ page, app }) => {
  await page.addInitScript(() => {
    navigator.storage.estimate = () => Promise.resolve({ usage: 85e6, quota: 100e6 })
  })
  await open(page, app.url)
  await page.getByRole('button', { name: 'This device is short of room' }).click()
  await expect(page.getByRole('dialog', { name: NAMES.whatWaits })).toContainText(
    'This browser lets Elm Swatch keep 100.0 MB, and 85.0 MB are used.',
  )
})
