// npm run shots [-- DIRECTORY [WIDTH HEIGHT]]: one picture of each main view, from the demo data, and how much each says at once.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { ensureBrowser, launchOptions } from './lib/browser.mjs'
import { inSight } from './lib/in-sight.mjs'
import { ensureBuild, ensurePackages, root, seedDemo } from './lib/prepare.mjs'
import { freePort, startServer } from './lib/server.mjs'

// How many words a screen may have in sight at 1280 × 800, outside the navigation and the bar of light.
const MOST_WORDS = {
  'bench, before a verdict': 60,
  bench: 90,
  sweep: 80,
  shortlist: 170,
  'around-it': 150,
  boards: 160,
  ruling: 150,
  'house-grid': 180,
  keepers: 130,
  'room-to-room': 150,
}

const [directory = 'docs/screenshots', width = '1280', height = '800'] = process.argv.slice(2)

await ensurePackages()
await ensureBuild()
await ensureBrowser()
const { chromium } = await import('@playwright/test')

const scratch = mkdtempSync(join(tmpdir(), 'elm-shots-'))
const dataDir = join(scratch, 'data')
await seedDemo(dataDir)
const server = await startServer({ port: await freePort(), dataDir })
const browser = await chromium.launch(launchOptions)
try {
  const page = await browser.newPage({
    viewport: { width: Number(width), height: Number(height) },
    // A picture of each view is no visit to take along.
    serviceWorkers: 'block',
  })
  await takeAll(page)
} finally {
  await browser.close()
  server.child.kill('SIGTERM')
  await server.ended
  rmSync(scratch, { recursive: true, force: true })
}

async function takeAll(page) {
  const into = resolve(root, directory)
  mkdirSync(into, { recursive: true })
  const shot = async (name) => {
    await page.waitForLoadState('networkidle')
    await page.screenshot({ path: join(into, `${name}.png`) })
    await count(name)
  }
  const count = async (name) => {
    const { words, controls, onPage } = await page.evaluate(inSight)
    const most = MOST_WORDS[name]
    console.log(
      `${name}: ${words} words${most ? ` of at most ${most}` : ''}, ${controls} controls in sight; ${onPage} words on the page`,
    )
  }
  const open = (address) => page.goto(server.url + address)
  const link = async (name) =>
    // On a phone the line of rooms is there, out of sight.
    new URL(await page.locator('a', { hasText: name }).first().getAttribute('href'), server.url)
      .pathname

  await open('/')
  await shot('visits')
  const visit = (await link(/Orrin-Vale/)).replace(/\/(brief|grid)$/, '')
  await open(`${visit}/plan?sky=clear`)
  await shot('day-plan')
  const kitchen = (await link(/^Kitchen/)).replace(/\/light$/, '')
  const front = (await link(/^Front room/)).replace(/\/[a-z]+$/, '')
  const late = '?light=room&at=17:30&sky=clear&lamps=off'
  await open(`${kitchen}/light${late}`)
  await shot('light')
  await open(`${kitchen}/keepers${late}`)
  await shot('keepers')
  // A floor matched by eye: the field of woods.
  await page.getByRole('button', { name: 'Add what stays' }).click()
  await page.getByRole('button', { name: 'Floor', exact: true }).click()
  await page.getByText('which comes nearest?').waitFor()
  await shot('finishes')
  await open(`${kitchen}/shortlist${late}`)
  const ten = page.getByRole('region', { name: 'First ten' })
  await ten.getByRole('listitem').first().waitFor()
  await page.getByRole('button', { name: /^pink [1-9]/ }).waitFor()
  await page.keyboard.press('ArrowDown')
  await page.getByRole('region', { name: 'Intensity' }).waitFor()
  await page.getByRole('heading', { level: 1, name: / at \d+ %/ }).waitFor()
  await shot('shortlist')
  await open(`${kitchen}/trial${late}&colour=H111-4`)
  await page.getByRole('region', { name: 'What goes with it' }).waitFor()
  await shot('trial')
  // All past the floor, two of them out and the group asked why.
  await open(`${front}/bench?by=pair&light=room&at=12:00&sky=clear&lamps=off`)
  await page.keyboard.press('f')
  await page.getByRole('list', { name: /^In hand beside / }).waitFor()
  for (const key of ['n', 'n', '4']) await page.keyboard.press(key)
  await page.getByRole('group', { name: 'Why' }).waitFor()
  await page.getByRole('status', { name: 'What came of it' }).getByText('Saved.').waitFor()
  await shot('sweep')
  await open(`${kitchen}/bench${late}&by=pair`)
  await page.getByRole('group', { name: 'Your verdict' }).waitFor()
  await page.waitForLoadState('networkidle')
  await count('bench, before a verdict')
  await open(`${visit}/grid`)
  await shot('house-grid')
  await page
    .getByRole('link', { name: /in Kitchen: no$/ })
    .first()
    .click()
  await page.waitForURL(/bench/)
  await open(new URL(page.url()).pathname + new URL(page.url()).search + late.replace('?', '&'))
  // A pair with the photograph, a no and why, and what to try next.
  await page.keyboard.press('n')
  await page.getByRole('region', { name: 'Last look' }).waitFor()
  await page.keyboard.press('4')
  await page.getByRole('region', { name: 'What next' }).waitFor()
  const photograph = page.getByRole('img', { name: /its own photograph/ })
  for (let n = 0; n < 12 && (await photograph.count()) === 0; n++)
    await page.keyboard.press('ArrowRight')
  await photograph.waitFor()
  await shot('bench')
  const seen = page.locator('figure[data-shown]:not([data-shown=""])')
  await open(`${kitchen}/bench?in=room&light=room&at=15:00&sky=clear&lamps=off`)
  await seen.first().waitFor()
  await page.getByRole('region', { name: 'In words' }).waitFor()
  await shot('in-the-room')
  // Two whole schemes, drawn from the piece that leads, under one light.
  const bedroom = (await link(/^South bedroom/)).replace(/\/[a-z]+$/, '')
  const morning = 'light=room&at=10:00&sky=clear&lamps=off'
  await open(`${bedroom}/lead?${morning}`)
  for (const n of [0, 1]) {
    await page.getByRole('button', { name: 'Save as a scheme' }).nth(n).click()
    await page.getByRole('status').filter({ hasText: 'Saved as the scheme' }).nth(0).waitFor()
  }
  await page.getByRole('button', { name: 'Saved, 2' }).waitFor()
  await open(`${bedroom}/bench?in=room&${morning}`)
  await seen.first().waitFor()
  for (const [chooser, scheme] of [
    ['On the walls', 'Scheme: From its field'],
    ['Beside it', 'Scheme: From its line'],
  ])
    await page
      .getByRole('combobox', { name: new RegExp(`^${chooser}`) })
      .selectOption({ label: scheme })
  await seen.nth(1).waitFor()
  await shot('in-the-room-schemes')
  await open(`${kitchen}/boards${late}`)
  await page.getByRole('button', { name: 'Show that light' }).first().waitFor()
  await shot('boards')
  await open(`${front}/around?light=room&at=11:00&sky=clear&lamps=off`)
  await page.getByRole('button', { name: 'east', exact: true }).click()
  await page.getByRole('region', { name: 'Trim' }).waitFor()
  await shot('around-it')
  await open(`${visit}/together?light=room&at=11:00&sky=clear&lamps=off`)
  await page
    .getByRole('heading', { name: /and Landing study/ })
    .first()
    .waitFor()
  await shot('room-to-room')
  await open(`${kitchen}/ruling${late}`)
  await page.getByRole('img', { name: /its own photograph/ }).waitFor()
  await shot('ruling')
  await open(`${visit}/sheets/painter`)
  await shot('painters-sheet')
  await open('/practice')
  await page.getByRole('group', { name: 'Who practises now' }).getByText('Ines Tarrow').click()
  await page.getByLabel('Works or not').check()
  await page.getByRole('button', { name: 'A round of twenty' }).click()
  await page.getByRole('button', { name: /^it works/ }).waitFor()
  await page.keyboard.press('1')
  await page.getByRole('button', { name: 'Next' }).waitFor()
  await shot('practice')
  await open('/eye')
  await shot('eye-and-model')
}
