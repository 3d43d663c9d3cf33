import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, type BrowserContext, type Page } from '@playwright/test'
import { launchOptions } from '../scripts/lib/browser.mjs'
import { ROOM_STEPS } from '../src/ui/frame/steps'
import { demoRoom, demoVisit, open, test } from './app'
import { changesOf } from './changes'

test.use({ ownServer: true })

const LOOKS = Number(process.env.ELM_OFFLINE_LOOKS ?? 20)
const A_DAY = 84
const LIGHTS = ['clear', 'partly', 'overcast'].flatMap((sky) =>
  ['off', 'on'].map((lamps) => [sky, lamps] as const),
)
const profile = mkdtempSync(join(tmpdir(), 'elm-profile-'))
test.afterAll(() => rmSync(profile, { recursive: true, force: true, maxRetries: 5 }))

/** A browser that keeps what it has when it is closed. */
const browser = (): Promise<BrowserContext> =>
  chromium.launchPersistentContext(profile, {
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
  await open(page, `${room}/bench`)
  const before = await looksGiven(visit, page)
  // The whole visit is taken along.
  await expect(page.locator('html')).toHaveAttribute('data-along', visit.split('/').at(-1)!, {
    timeout: 120_000,
  })
  await app.end('SIGKILL')

  let given = 0
  /** Verdicts by key, each a step later in the day; a day of another light after so many. */
  async function rule(until: number): Promise<void> {
    for (; given < until; given++) {
      if (given % A_DAY === 0) {
        const [sky, lamps] = LIGHTS[given / A_DAY]!
        await open(page, `${room}/bench?light=room&at=06:00&sky=${sky}&lamps=${lamps}`)
      }
      await page.keyboard.press('.')
      await page.keyboard.press(given % 3 === 0 ? 'n' : 'w')
      await expect(waiting(page)).toHaveText(`${given + 1} waiting for the server`)
    }
  }
  await rule(LOOKS / 2)

  // Every judging view of every room opens, and says where one is.
  for (const name of ['Kitchen', 'South bedroom'])
    for (const step of ROOM_STEPS) {
      await open(page, `${demoRoom(visit, name)}/${step}`)
      await expect(page.locator('a[aria-current=page]', { hasText: name }).first()).toBeVisible()
    }
  await page.goto(`${app.url}/decks`)
  await expect(page.getByRole('heading', { name: 'This page is not on this device' })).toBeVisible()

  await context.close()
  context = await browser()
  page = await context.newPage()
  await open(page, `${room}/bench?light=room&at=18:00&sky=clear&lamps=off`)
  await expect(waiting(page)).toHaveText(`${LOOKS / 2} waiting for the server`)
  await rule(LOOKS)
  await waiting(page).click()
  await expect(page.getByRole('list', { name: 'Waiting' }).getByRole('listitem')).toHaveCount(LOOKS)

  await app.startAgain()
  await page.getByRole('button', { name: 'Try again now' }).click()
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
  await context.close()
})
