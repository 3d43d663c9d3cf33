import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { AxeBuilder } from '@axe-core/playwright'
import { expect, test as base, type Locator, type Page } from '@playwright/test'
import { freePort, startServer } from '../scripts/lib/server.mjs'
import { ADDRESSES, SEEDED, type Addresses } from './global-setup'
import { NAMES } from './names'

type Server = Awaited<ReturnType<typeof startServer>>

/** A running application of its own, on a copy of the demo or empty. */
export class App {
  private constructor(
    readonly port: number,
    readonly dataDir: string,
    private server: Server,
  ) {}

  /** Whether it was told to end: then the server that runs may be another one. */
  wasEnded = false

  /** @param from a data directory to begin with; null for an empty store of one's own */
  static async start(from: string | null = SEEDED): Promise<App> {
    const dataDir = join(mkdtempSync(join(tmpdir(), 'elm-e2e-')), 'data')
    if (from) execFileSync('cp', ['-a', from, dataDir])
    const port = await freePort()
    const env = {
      NODE_OPTIONS: `--import ${join(import.meta.dirname, 'fresh-data.mjs')}`,
      ELM_FRESH_DATA: JSON.stringify({ store: SEEDED, at: isLaid(dataDir) }),
    }
    return new App(port, dataDir, await startServer({ port, dataDir, env }))
  }

  /** The demo as it was, in a server that goes on: a tenth of what a new one costs. */
  async freshData(): Promise<void> {
    const laid = isLaid(this.dataDir)
    rmSync(laid, { force: true })
    this.server.child.kill('SIGUSR2')
    await expect.poll(() => existsSync(laid), { intervals: [20] }).toBe(true)
  }

  get url(): string {
    return this.server.url
  }

  get pid(): number {
    return this.server.child.pid!
  }

  /** Ends the server with a signal and says how it went. */
  async end(
    signal: NodeJS.Signals,
  ): Promise<{ code: number | null; signal: NodeJS.Signals | null }> {
    wasEnded = true
    this.wasEnded = true
    this.server.child.kill(signal)
    return this.server.ended
  }

  /** Starts anew on the same data and the same port. */
  async startAgain(): Promise<void> {
    this.server = await startServer({ port: this.port, dataDir: this.dataDir })
  }

  async remove(): Promise<void> {
    await this.end('SIGKILL')
    rmSync(join(this.dataDir, '..'), { recursive: true, force: true })
  }
}

const isLaid = (dataDir: string): string => `${dataDir}-is-laid`

/** `app` is shared by the tests of a worker; those that stop it use `ownApp`. */
// What a browser says of a server that was ended on purpose.
const ENDED = /net::ERR_|Failed to fetch|ChunkLoadError/
let wasEnded = false

interface Own {
  /** Whether `ownApp` is a server of its own from start to end, not one that was given the demo anew. */
  readonly ownServer: boolean
  /** What the console of a test may say: what it provokes on purpose. */
  readonly consoleMay: RegExp[]
  readonly ownApp: App
  readonly emptyApp: App
}

export const test = base.extend<Own, { app: App; warm: { app: App | null } }>({
  ownServer: [false, { option: true }],
  consoleMay: async ({}, provide) => provide([]),
  page: async ({ page, consoleMay }, provide) => {
    const said: string[] = []
    wasEnded = false
    page.on('console', (message) => {
      if (message.type() === 'error') said.push(message.text())
    })
    page.on('pageerror', (error) => said.push(String(error)))
    await provide(page)
    // No error, no 404, no refused style on any page.
    if (wasEnded) consoleMay.push(ENDED)
    expect(said.filter((text) => !consoleMay.some((may) => may.test(text)))).toEqual([])
  },
  app: [
    async ({}, provide) => {
      const app = await App.start()
      await provide(app)
      await app.remove()
    },
    { scope: 'worker' },
  ],
  emptyApp: async ({}, provide) => {
    const app = await App.start(null)
    await provide(app)
    await app.remove()
  },
  warm: [
    async ({}, provide) => {
      const warm: { app: App | null } = { app: null }
      await provide(warm)
      await warm.app?.remove()
    },
    { scope: 'worker' },
  ],
  ownApp: async ({ warm, ownServer }, provide) => {
    const kept = ownServer ? null : warm.app
    if (kept) await kept.freshData()
    const app = kept ?? (await App.start())
    await provide(app)
    if (!ownServer && !app.wasEnded) warm.app = app
    else {
      if (app === warm.app) warm.app = null
      await app.remove()
    }
  },
})

/** Opens an address and waits until the page answers to keys. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address)
  await page.locator('html[data-ready=yes]').waitFor()
}

let tabs = 0
/** How often Tab was pressed since it was last asked. */
export function tabsPressed(): number {
  const pressed = tabs
  tabs = 0
  return pressed
}

/** Walks with Tab until the control has the focus: what a hand without a mouse does. */
export async function tabTo(page: Page, control: Locator): Promise<void> {
  await control.first().waitFor()
  for (let presses = 0; presses < 120; presses++) {
    if (await control.first().evaluate((element) => element === document.activeElement)) {
      tabs += presses
      return
    }
    await page.keyboard.press('Tab')
  }
  throw new Error(`Tab never came to ${control.toString()}`)
}

/** Tabs to a field, empties it and types. */
export async function typeInto(page: Page, field: Locator, text: string): Promise<void> {
  await tabTo(page, field)
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type(text)
}

/** Tabs to a button or a link and presses it. */
export async function pressKeyOn(page: Page, control: Locator): Promise<void> {
  await tabTo(page, control)
  await page.keyboard.press('Enter')
}

/** Says what something that stays is, by its first letters, with the pictures in focus. */
export async function chooseKind(page: Page, letters: string): Promise<void> {
  await tabTo(page, page.getByRole('group', { name: NAMES.kind }).locator('[tabindex="0"]'))
  await page.keyboard.type(letters)
  await page.keyboard.press('Enter')
}

/** Says what something that stays is, by its picture. */
export const pickKind = (page: Page, kind: string): Promise<void> =>
  page
    .getByRole('group', { name: NAMES.kind })
    .getByRole('button', { name: kind, exact: true })
    .click()

export const VISIT = 'The Orrin-Vale household'

let addresses: Addresses | null = null
const seeded = (): Addresses =>
  (addresses ??= JSON.parse(readFileSync(ADDRESSES, 'utf8')) as Addresses)

/** The address of a visit of the demo, without its step. */
export function demoVisit(app: App, household = VISIT): string {
  const [, id] = seeded().find(([name]) => name.includes(household))!
  return `${app.url}/visits/${id}`
}

/** The address of a room of a visit of the demo, without its step. */
export function demoRoom(visit: string, room: string): string {
  const [, , , id] = seeded().find(([, visitId, name]) => visit.endsWith(visitId) && name === room)!
  return `${visit}/rooms/${id}`
}

/** What axe finds wrong with a page as it stands. */
export async function faultsOf(page: Page): Promise<string[]> {
  // A page that is being refreshed is for a moment without its title.
  await expect(page).toHaveTitle(/./)
  // One page without frames of others: nothing has to be gathered, and only faults are asked for.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze()
  return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)
}

/** By how many pixels a page, or its working area, is wider than what shows of it; a table scrolls inside itself. */
export const overhang = (page: Page): Promise<number> =>
  page.evaluate(() =>
    [document.documentElement, ...document.querySelectorAll('main:not(:has(table))')]
      .map(({ scrollWidth, clientWidth }) => scrollWidth - clientWidth)
      .reduce((sum, each) => sum + each, 0),
  )

/** What scrolls up and down on a page at rest: one thing at most. */
export const scrolling = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [document.documentElement, ...document.body.querySelectorAll(':not(textarea)')]
      .filter(
        (element) =>
          (element === document.documentElement ||
            /auto|scroll/.test(getComputedStyle(element).overflowY)) &&
          // A line that is a pixel or two too high scrolls nowhere.
          element.scrollHeight > element.clientHeight + 4 &&
          element.clientHeight > 0 &&
          element.clientWidth > 1,
      )
      .map((element) => element.getAttribute('aria-label') ?? element.tagName.toLowerCase()),
  )

/** Lines of text that lie over one another, and words that are cut by the box they stand in; in the window, as it is. */
export const crowding = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    type Box = Pick<DOMRect, 'left' | 'top' | 'right' | 'bottom'>
    const cutBy = (box: Box, by: Box): Box => ({
      left: Math.max(box.left, by.left),
      top: Math.max(box.top, by.top),
      right: Math.min(box.right, by.right),
      bottom: Math.min(box.bottom, by.bottom),
    })
    const lines: { box: Box; of: Element; text: string }[] = []
    const found: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const of = node.parentElement!
      const text = (node.textContent ?? '').trim()
      if (text === '' || of.closest('script, style, option, svg, .sr-only')) continue
      if (of.closest('details:not([open])') && !of.closest('summary')) continue
      if (!of.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue
      const range = document.createRange()
      range.selectNodeContents(node)
      for (const rect of range.getClientRects()) {
        if (rect.width <= 1) continue
        let box: Box = cutBy(rect, { left: 0, top: 0, right: innerWidth, bottom: innerHeight })
        for (let at: Element | null = of; at; at = at.parentElement) {
          const { overflowX, textOverflow } = getComputedStyle(at)
          if (overflowX === 'visible') continue
          const own = at.getBoundingClientRect()
          // What is cut on purpose says so by its dots, and what scrolls sideways can be reached.
          const isCut = rect.right > own.right + 1 && rect.left < own.right - 1
          if (
            isCut &&
            overflowX !== 'auto' &&
            overflowX !== 'scroll' &&
            textOverflow !== 'ellipsis'
          )
            found.push(`cut: “${text.slice(0, 40)}”`)
          box = cutBy(box, own)
        }
        if (box.right - box.left > 3 && box.bottom - box.top > 3) lines.push({ box, of, text })
      }
    }
    for (const [i, p] of lines.entries())
      for (const q of lines.slice(i + 1)) {
        if (p.of === q.of || p.of.contains(q.of) || q.of.contains(p.of)) continue
        const both = cutBy(p.box, q.box)
        // Lines of one paragraph come near each other: two that cannot be told apart lie over each other by more.
        if (both.right - both.left > 4 && both.bottom - both.top > 6)
          found.push(`over: “${p.text.slice(0, 40)}” and “${q.text.slice(0, 40)}”`)
      }
    return [...new Set(found)]
  })

export const hexOf = async (swatch: Locator): Promise<string> => {
  await expect(swatch).toHaveAttribute('data-hex', /^#[0-9a-f]{6}$/)
  return (await swatch.getAttribute('data-hex'))!
}

/** Red, green and blue of a hex, 0 to 255. */
export const rgbOf = (hex: string): readonly [number, number, number] => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16),
]
