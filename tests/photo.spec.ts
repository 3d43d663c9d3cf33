import { expect, type Page } from '@playwright/test'
import { ciede2000 } from '../src/core/colour/ciede2000'
import { daylightSpectrum } from '../src/core/colour/daylight'
import type { Lab } from '../src/core/colour/lab'
import { ledSpectrum } from '../src/core/colour/led'
import { bandWeights, xyzUnder } from '../src/core/colour/observer'
import { planckianSpectrum } from '../src/core/colour/planckian'
import { flatReflectance, type Reflectance, type Spectrum } from '../src/core/colour/spectrum'
import { linearRgbFromXyz } from '../src/core/colour/srgb'
import { reflectanceOfReading } from '../src/core/paint/reading'
import { demoVisit, open, roomOf, test } from './app'

const FINISH: readonly (readonly [Lab, share: number])[] = [
  [[66, 9, 14], 0.5],
  [[45, -8, -14], 0.3],
  [[84, 1, 9], 0.2],
]
const CARD = flatReflectance(0.9)

/** Bytes of sRGB as an ideal sensor sees a surface in a light, the card at 80 % of its range. */
function sensorBytes(surface: Reflectance, spectrum: Spectrum): [number, number, number] {
  const weights = bandWeights(spectrum)
  const exposure = 0.8 / Math.max(...linearRgbFromXyz(xyzUnder(weights, CARD)))
  return linearRgbFromXyz(xyzUnder(weights, surface)).map((channel) => {
    const v = Math.min(1, Math.max(0, channel * exposure))
    return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055)
  }) as [number, number, number]
}

/** A photo drawn by the page itself: bands of the finish, the card in its corner, grain over all. */
async function photoOf(page: Page, spectrum: Spectrum): Promise<Buffer> {
  const bands = FINISH.map(([lab, share]) => ({
    share,
    bytes: sensorBytes(reflectanceOfReading({ kind: 'lab', lab }), spectrum),
  }))
  const url = await page.evaluate(
    ({ bands: all, card }) => {
      const canvas = document.createElement('canvas')
      canvas.width = 600
      canvas.height = 400
      const context = canvas.getContext('2d')!
      const image = context.createImageData(600, 400)
      let seed = 1
      const grain = () => ((seed = (seed * 16807) % 2147483647) / 2147483647 - 0.5) * 5
      for (let y = 0; y < 400; y++)
        for (let x = 0; x < 600; x++) {
          let left = y / 400
          const band = all.find(({ share }) => (left -= share) < 0) ?? all.at(-1)!
          const bytes = x < 60 && y < 60 ? card : band.bytes
          bytes.forEach((value, k) => (image.data[(y * 600 + x) * 4 + k] = value + grain()))
          image.data[(y * 600 + x) * 4 + 3] = 255
        }
      context.putImageData(image, 0, 0)
      return canvas.toDataURL('image/png')
    },
    { bands, card: sensorBytes(CARD, spectrum) },
  )
  return Buffer.from(url.split(',')[1]!, 'base64')
}

test('a finish photographed under three lights comes back in its own colours and shares', async ({
  page,
  app,
}) => {
  test.setTimeout(120_000)
  // A room in daylight: a neutral card means daylight there, whether the camera balanced or not.
  const front = await roomOf(page, await demoVisit(page, app), 'Front room')
  await open(page, `${front}/keepers?light=room&at=12:00&sky=overcast`)
  await page.getByRole('button', { name: 'Add what stays' }).click()
  for (const [name, spectrum] of [
    ['filament', planckianSpectrum(2700)],
    ['led', ledSpectrum(4000, 83)],
    ['daylight', daylightSpectrum(6504)],
  ] as const) {
    const buffer = await photoOf(page, spectrum)
    await page
      .getByLabel('Photo with a white card')
      .setInputFiles({ name: `${name}.png`, mimeType: 'image/png', buffer })
    await expect(page.getByText('Now tap the white card in the photo.')).toBeVisible()
    const canvas = page.getByRole('img', { name: /tap its white card/ })
    const box = (await canvas.boundingBox())!
    // Drawn whole within its box: the card is a tenth of its width, in the corner.
    await canvas.click({ position: { x: box.width * 0.05, y: box.height * 0.075 } })
    const found = page.getByRole('list', { name: 'Colours found' }).getByRole('listitem')
    await expect(found).toHaveCount(3)
    const misses: number[] = []
    for (const [i, [lab, share]] of FINISH.entries()) {
      const text = (await found.nth(i).textContent())!
      expect(Math.abs(Number(/(\d+) %/.exec(text)![1]) - 100 * share)).toBeLessThanOrEqual(3)
      const read = (await found.nth(i).locator('[data-lab]').getAttribute('data-lab'))!
        .split(' ')
        .map(Number)
      misses.push(ciede2000(lab, read as unknown as Lab))
    }
    misses.sort((p, q) => p - q)
    expect(misses[1]!, name).toBeLessThan(2)
    expect(misses[2]!, name).toBeLessThan(5)
  }
  await page.getByRole('button', { name: 'Use these colours' }).click()
  await expect(page.getByLabel('Part', { exact: true })).toHaveCount(3)
  await page.getByRole('textbox', { name: 'What stays' }).fill('Photographed tile')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText(/from a photo, ± 4/).first()).toBeVisible()
})

test('what is no photo is refused in words', async ({ page, app }) => {
  const snug = await roomOf(page, await demoVisit(page, app), 'Basement snug')
  await open(page, `${snug}/keepers`)
  await page.getByRole('button', { name: 'Add what stays' }).click()
  const input = page.getByLabel('Photo with a white card')
  await input.setInputFiles({
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no'),
  })
  await expect(
    page.getByText('“notes.txt” is not a photo that can be read: expected a JPEG, PNG or WebP.'),
  ).toBeVisible()
  await input.setInputFiles({
    name: 'phone.heic',
    mimeType: 'image/heic',
    buffer: Buffer.from('no'),
  })
  await expect(page.getByText(/is a HEIC photo/)).toBeVisible()
})

test('every mark of the undertone rose is reached by keyboard and named', async ({ page, app }) => {
  const kitchen = await roomOf(page, await demoVisit(page, app), 'Kitchen')
  await open(page, `${kitchen}/keepers?light=room&at=12:00&sky=clear`)
  const marks = page.getByRole('region', { name: 'Undertone rose' }).getByRole('img')
  // Two keepers that stay, one of two colours, and six candidates.
  await expect(marks).toHaveCount(9)
  await marks.first().focus()
  await expect(marks.first()).toBeFocused()
  for (const name of await marks.evaluateAll((all) =>
    all.map((mark) => mark.getAttribute('aria-label')),
  ))
    expect(name).toMatch(/: (no undertone|leans|clearly|an? .* outright|.* undertone)/)
})

test('readings go out as CGATS and come back in from the file', async ({ page, app }) => {
  const visit = await demoVisit(page, app)
  const answer = await page.request.get(
    `${app.url}/api/visits/${visit.split('/').at(-1)}/readings?as=cgats`,
  )
  const text = await answer.text()
  expect(text).toContain('"Stone counter, ground" 66.0')
  const snug = await roomOf(page, visit, 'Basement snug')
  await open(page, `${snug}/keepers`)
  await page.getByRole('button', { name: 'Add what stays' }).click()
  const input = page.getByLabel('Measurement file (CGATS)')
  await input.setInputFiles({
    name: 'bad.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(text.replace(/66\.0\d*/, '')),
  })
  await expect(page.getByText(/Line \d+: Expected 5 fields, got 4/)).toBeVisible()
  await input.setInputFiles({
    name: 'readings.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(text),
  })
  await page.getByRole('button', { name: 'Stone counter, ground' }).click()
  await expect(page.getByLabel('L*')).toHaveValue('66')
  await expect(page.getByLabel('b*')).toHaveValue('14')
})
