import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Locator, type Page } from '@playwright/test'
import sharp from 'sharp'
import { ciede2000 } from '../src/core/colour/ciede2000'
import { daylightSpectrum } from '../src/core/colour/daylight'
import type { Lab } from '../src/core/colour/lab'
import { ledSpectrum } from '../src/core/colour/led'
import { planckianSpectrum } from '../src/core/colour/planckian'
import { demoVisit, open, roomOf, tabTo, test } from './app'
import { CARD_AT, photograph, pngHeader, TRUTH } from './photographs'

/** Opens the keepers of a room in a light, a fresh keeper, and the photo reader. */
async function openPhotoReader(page: Page, room: string, light: string): Promise<Locator> {
  await open(page, `${room}/keepers?${light}`)
  await page.getByRole('button', { name: 'Add what stays' }).click()
  await page.getByRole('button', { name: 'A photo' }).click()
  return page.getByLabel('Photo with a white card')
}

async function tapCard(page: Page): Promise<void> {
  await expect(page.getByText(/tap the (white )?card/i).first()).toBeVisible()
  const photo = page.getByRole('button', { name: /tap its white card/ })
  const box = (await photo.boundingBox())!
  await photo.click({ position: { x: box.width * CARD_AT[0], y: box.height * CARD_AT[1] } })
}

interface Found {
  readonly lab: Lab
  readonly sharePercent: number
}

async function foundColours(page: Page): Promise<Found[]> {
  const rows = page.getByRole('list', { name: 'Colours found' }).getByRole('listitem')
  await expect(rows.first()).toBeVisible()
  return Promise.all(
    (await rows.all()).map(async (row) => ({
      lab: (await row.locator('[data-lab]').getAttribute('data-lab'))!
        .split(' ')
        .map(Number) as unknown as Lab,
      sharePercent: Number(/(\d+) %/.exec((await row.textContent())!)![1]),
    })),
  )
}

// The room lends a photo its light where the camera has balanced it away: under its lamps, and at an overcast noon.
const LIGHTS = [
  ['2,700 K', planckianSpectrum(2700), 'Basement snug', 'light=lamps&spot=flat-lamp'],
  ['4,000 K', ledSpectrum(4000, 83), 'Landing study', 'light=lamps&spot=flat-lamp'],
  ['daylight', daylightSpectrum(6504), 'Kitchen', 'light=room&at=12:00&sky=overcast&lamps=off'],
] as const

for (const [name, spectrum, room, light] of LIGHTS)
  for (const balanced of [false, true])
    test(`twelve finishes photographed under ${name}, ${balanced ? 'balanced by the camera' : 'as the light fell'}, come back`, async ({
      page,
      app,
    }) => {
      const input = await openPhotoReader(
        page,
        await roomOf(page, await demoVisit(page, app), room),
        light,
      )
      if (!balanced) await page.getByLabel(/fixed to daylight/).check()
      await input.setInputFiles({
        name: 'finishes.png',
        mimeType: 'image/png',
        buffer: await photograph(spectrum, { balanced }),
      })
      await expect(page.getByText('Now tap the white card in the photo.')).toBeVisible()
      await tapCard(page)
      const found = await foundColours(page)
      expect(found).toHaveLength(TRUTH.length)
      const misses = TRUTH.map(({ lab, sharePercent }) => {
        const nearest = found.reduce((p, q) =>
          ciede2000(lab, q.lab) < ciede2000(lab, p.lab) ? q : p,
        )
        expect(Math.abs(nearest.sharePercent - sharePercent)).toBeLessThanOrEqual(3)
        return ciede2000(lab, nearest.lab)
      }).sort((p, q) => p - q)
      console.log(
        `photo under ${name}${balanced ? ', balanced' : ''}: ΔE00 ${misses[6]!.toFixed(2)} median, ${misses[11]!.toFixed(2)} worst`,
      )
      expect(misses[6]!).toBeLessThan(2)
      expect(misses[11]!).toBeLessThan(5)
    })

test('colours of a photo are dropped, merged and tapped for, and kept with the photo, stripped', async ({
  page,
  ownApp: app,
}) => {
  test.setTimeout(120_000)
  const snug = await roomOf(page, await demoVisit(page, app), 'Basement snug')
  const input = await openPhotoReader(page, snug, 'light=lamps')
  await page.getByLabel(/fixed to daylight/).check()
  const photo = await photograph(planckianSpectrum(2700), { exif: true, as: 'jpeg' })
  expect((await sharp(photo).metadata()).exif).toBeDefined()
  await input.setInputFiles({ name: 'rug.jpg', mimeType: 'image/jpeg', buffer: photo })
  await tapCard(page)
  const before = await foundColours(page)
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([])

  await page.getByRole('button', { name: 'Merge colour 2 with the one above' }).click()
  const after = await foundColours(page)
  expect(after).toHaveLength(before.length - 1)
  expect(
    Math.abs(after[0]!.sharePercent - before[0]!.sharePercent - before[1]!.sharePercent),
  ).toBeLessThanOrEqual(1)
  // A mean by share lies between the two it is made of.
  const lightness = [before[0]!.lab[0], before[1]!.lab[0]]
  expect(after[0]!.lab[0]).toBeGreaterThan(Math.min(...lightness))
  expect(after[0]!.lab[0]).toBeLessThan(Math.max(...lightness))

  const rows = page.getByRole('list', { name: 'Colours found' }).getByRole('listitem')
  for (const place of [1, 2, 3]) await rows.nth(place).getByLabel('counts').uncheck()
  // Further colours by keyboard: the cross starts in the middle of the photo.
  await tabTo(page, page.getByRole('button', { name: 'The photo; tap a colour to add it' }))
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(rows).toHaveCount(after.length + 1)
  await expect(rows.last()).toContainText('tapped')

  await page.getByRole('button', { name: 'Use these colours' }).click()
  await expect(page.getByText('Taken over, with the photo.')).toBeVisible()
  await page.getByRole('textbox', { name: 'What stays' }).fill('Photographed rug')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText(/from a photo, ±\s4/).first()).toBeVisible()
  const image = page.getByRole('img', { name: 'Photo of Photographed rug' })
  const hash = (await image.getAttribute('src'))!.split('/').at(-1)!
  // What lies on disk is named by its bytes and tells neither place nor camera.
  const kept = readFileSync(join(app.dataDir, 'photos', hash.slice(0, 2), `${hash}.jpg`))
  const { exif, xmp, iptc, width } = await sharp(kept).metadata()
  expect([exif, xmp, iptc]).toEqual([undefined, undefined, undefined])
  expect(width).toBe(600)
})

test('what is no photo, is cut short, or says it is huge is refused in words, and the page lives on', async ({
  page,
  app,
}) => {
  const snug = await roomOf(page, await demoVisit(page, app), 'Basement snug')
  const input = await openPhotoReader(page, snug, 'light=lamps')
  const jpeg = await photograph(planckianSpectrum(2700), { as: 'jpeg' })
  for (const [name, mimeType, buffer, words] of [
    ['notes.txt', 'text/plain', Buffer.from('no'), /“notes.txt” is not a photo that can be read/],
    ['phone.heic', 'image/heic', Buffer.from('no'), /is a HEIC photo/],
    ['huge.png', 'image/png', pngHeader(20_000, 10_000), /says it has 200 megapixels/],
    ['cut.jpg', 'image/jpeg', jpeg.subarray(0, jpeg.length - 3000), /“cut.jpg” is cut short/],
  ] as const) {
    await input.setInputFiles({ name, mimeType, buffer })
    await expect(page.getByText(words)).toBeVisible()
  }
  await input.setInputFiles({ name: 'good.jpg', mimeType: 'image/jpeg', buffer: jpeg })
  await expect(page.getByText('Now tap the white card in the photo.')).toBeVisible()
})

test('a card in shade and clipped whites are warned of', async ({ page, app }) => {
  const snug = await roomOf(page, await demoVisit(page, app), 'Basement snug')
  const input = await openPhotoReader(page, snug, 'light=lamps')
  await page.getByLabel(/fixed to daylight/).check()
  // The card's corner dimmed to a third, and a strip of the photo burnt out.
  const shade = {
    input: Buffer.alloc(120 * 120 * 4, 0),
    raw: { width: 120, height: 120, channels: 4 as const },
  }
  for (let i = 3; i < shade.input.length; i += 4) shade.input[i] = 150
  const glare = {
    input: Buffer.alloc(600 * 40 * 4, 255),
    raw: { width: 600, height: 40, channels: 4 as const },
    top: 360,
    left: 0,
  }
  const buffer = await sharp(await photograph(daylightSpectrum(5000)))
    .composite([{ ...shade, top: 0, left: 0 }, glare])
    .png()
    .toBuffer()
  await input.setInputFiles({ name: 'shade.png', mimeType: 'image/png', buffer })
  await tapCard(page)
  await expect(page.getByText(/brighter than the card: it lies in shade/)).toBeVisible()
  await expect(page.getByText(/10 % is clipped and was left out/)).toBeVisible()
})

test('finding the colours can be stopped, and begun again', async ({ page, app }) => {
  const snug = await roomOf(page, await demoVisit(page, app), 'Basement snug')
  const input = await openPhotoReader(page, snug, 'light=lamps')
  await page.getByLabel(/fixed to daylight/).check()
  await input.setInputFiles({
    name: 'slow.png',
    mimeType: 'image/png',
    buffer: await photograph(planckianSpectrum(2700)),
  })
  await expect(page.getByText('Now tap the white card in the photo.')).toBeVisible()
  // The worker's script is held back, so that there is something to stop.
  let release = (): void => undefined
  const held = new Promise<void>((done) => (release = done))
  await page.route(/turbopack-worker/, async (route) => {
    await held
    await route.continue()
  })
  await tapCard(page)
  await expect(page.getByText(/Finding its colours/)).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText('Stopped. Tap the card to begin again.')).toBeVisible()
  await expect(page.getByText(/Finding its colours/)).toHaveCount(0)
  release()
  await tapCard(page)
  expect(await foundColours(page)).toHaveLength(TRUTH.length)
})
