import { expect, type Page } from '@playwright/test'
import { demoRoom, demoVisit, faultsOf, open, overhang, tabTo, test } from './app'
import { NAMES } from './names'

const picture = (page: Page) => page.locator('figure[data-shown]:not([data-shown=""])')
const canvas = (page: Page) => page.getByRole('img', { name: /lux on the walls$/ })

/** Mean red, green and blue of what is drawn, and whether anything is. */
const drawn = (page: Page, n = 0): Promise<readonly number[]> =>
  page.evaluate((nth) => {
    const of = document.querySelectorAll('canvas')[nth]!
    const { data } = of.getContext('2d')!.getImageData(0, 0, of.width, of.height)
    const sums = [0, 0, 0, 0]
    for (let at = 0; at < data.length; at++) sums[at % 4]! += data[at]!
    return sums.map((sum) => (4 * sum) / data.length)
  }, n)

test('by keyboard from the bench into the kitchen: three paints, dawn to lamps, and back with nothing lost', async ({
  page,
  ownApp: app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/bench?by=pair&light=room&at=13:00&sky=clear&lamps=off`)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  const pair = page.getByRole('main').getByTestId('lrv')
  const held = (await pair.textContent())!
  await page.keyboard.press('q')
  await expect(picture(page)).toHaveCount(1, { timeout: 30_000 })
  await expect(page.getByRole('heading', { name: 'In the room: Kitchen' })).toBeVisible()

  // A key of the bench is none here: no verdict is given behind it.
  await page.keyboard.press('n')
  const first = await picture(page).getAttribute('data-shown')
  const seen = new Map([[first, await drawn(page)]])
  for (let n = 0; n < 2; n++) {
    const before = await picture(page).getAttribute('data-shown')
    await page.keyboard.press('ArrowRight')
    await expect(picture(page)).not.toHaveAttribute('data-shown', before!)
    seen.set(await picture(page).getAttribute('data-shown'), await drawn(page))
  }
  expect(seen.size).toBe(3)
  const colours = [...seen.values()]
  for (const [n, one] of colours.entries())
    for (const other of colours.slice(n + 1))
      expect(Math.hypot(...one.map((v, c) => v - other[c]!))).toBeGreaterThan(1)

  // Through the day to the lamps; what is said of it follows.
  const table = page.getByRole('region', { name: 'In words' })
  const luxOf = async (): Promise<number> =>
    Number(/([\d,]+) lux/.exec((await table.textContent())!)![1]!.replace(',', ''))
  const midday = await luxOf()
  const handle = page.getByRole('slider', { name: NAMES.timeOfDay })
  const minute = Number(await handle.getAttribute('aria-valuenow'))
  await page.keyboard.press('.')
  await expect(handle).not.toHaveAttribute('aria-valuenow', String(minute))
  await tabTo(page, handle)
  await page.keyboard.press('Home')
  await expect.poll(luxOf).not.toBe(midday)
  await page.keyboard.press('p')
  await expect.poll(luxOf).toBeLessThan(midday / 2)
  await expect(canvas(page)).toHaveAccessibleName(/^Kitchen from .* lux on the walls$/)
  expect(await faultsOf(page)).toEqual([])

  await page.keyboard.press('q')
  await expect(canvas(page)).toHaveCount(0)
  await expect(pair).toHaveText(held)
  await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).not.toContainText(
    NAMES.saved,
  )
})

test('a thing is put somewhere by keyboard and stays there; what if it had other lamps is a proposal', async ({
  page,
  ownApp: app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/trial?in=room&light=lamps`)
  await expect(picture(page)).toHaveCount(1, { timeout: 30_000 })
  await page.getByText('Where things stand').click()
  const thing = page.getByRole('button', { name: /arrow keys move it/ }).first()
  const before = await thing.getAttribute('transform')
  await thing.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowUp')
  await expect(thing).not.toHaveAttribute('transform', before!)
  const moved = await thing.getAttribute('transform')
  await page.reload()
  await expect(picture(page)).toHaveCount(1, { timeout: 30_000 })
  await page.getByText('Where things stand').click()
  await expect(thing).toHaveAttribute('transform', moved!)

  // Its size is typed; what is none is refused at its field.
  const wide = page.getByLabel(NAMES.eastToWest)
  await wide.fill('twelve')
  await wide.blur()
  await expect(page.getByText(/Expected .* got “twelve”/)).toBeVisible()
  await wide.fill('1.2 m')
  await wide.blur()
  await expect(wide).toHaveValue(/1\.2/)

  await page.getByLabel('Beside it').selectOption('what if')
  await page.getByRole('combobox', { name: /^Lamps/ }).selectOption('4')
  const says = page.getByRole('status', { name: 'What comes of it' })
  await expect(says).toContainText(/The walls have [\d,]+ lux instead of [\d,]+ lux/, {
    timeout: 30_000,
  })
  await page.getByLabel('Save it as').fill('Four table lamps')
  await page.getByRole('button', { name: 'Save as a proposal' }).click()
  await expect(page.getByRole('list', { name: 'Saved what-ifs' })).toContainText('Four table lamps')
  expect(await overhang(page)).toBe(0)
  await open(page, `${kitchen}/light`)
  await expect(page.getByText(/LED|filament/).first()).toBeVisible()
  await expect(page.getByText('Four table lamps')).toHaveCount(0)
})

test('the client’s sheet shows a chosen room as it will look, on screen and in its PDF', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app)
  await open(page, `${visit}/sheets/client`)
  const pictures = page.locator('img[src*="/picture/"]')
  const count = await pictures.count()
  expect(count).toBeGreaterThan(0)
  await expect
    .poll(
      () =>
        pictures.evaluateAll((all) =>
          all.every((each) => (each as HTMLImageElement).naturalWidth === 480),
        ),
      { timeout: 30_000 },
    )
    .toBe(true)
  const pdf = await (
    await page.request.get(`${app.url}/api/visits/${visit.split('/').at(-1)}/sheets/client`)
  ).body()
  expect(pdf.toString('latin1').match(/\/Subtype \/Image/g)?.length).toBeGreaterThanOrEqual(count)
})
