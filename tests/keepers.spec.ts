import { AxeBuilder } from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { demoVisit, open, demoRoom, pickKind, test } from './app'
import { NAMES } from './names'

async function addKeeper(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: NAMES.addWhatStays }).click()
  await pickKind(page, 'Stone')
  await page.getByRole('textbox', { name: NAMES.whatStays }).fill(name)
}

/** The reader drops its connection now and then: connect again and go on, as a hand would. */
async function askReader(page: Page, button: RegExp, said: RegExp): Promise<void> {
  const reader = page.getByRole('region', { name: 'Colour reader' })
  const status = reader.getByRole('status')
  await expect(async () => {
    await reader.getByRole('button', { name: button }).click()
    const lost = (await status.textContent())!.includes('lost')
    if (lost) await reader.getByRole('button', { name: 'Connect' }).click()
    await expect(status).toHaveText(said, { timeout: 500 })
  }).toPass()
}

test('a colour reader warns until it is calibrated, averages three readings, and keeps the spectrum', async ({
  page,
  ownApp: app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/keepers?light=lamps`)
  await addKeeper(page, 'Glazed tile')
  await page.getByRole('button', { name: 'A colour reader' }).click()
  const reader = page.getByRole('region', { name: 'Colour reader' })
  await reader.getByLabel(/held against/).selectOption('a glazed tile')
  await reader.getByRole('button', { name: /^Read/ }).click()
  await expect(reader.getByRole('status')).toHaveText(/not connected/)
  await reader.getByRole('button', { name: 'Connect' }).click()

  await askReader(page, /^Read 1/, /1 of 3 read/)
  await askReader(page, /^Read 2/, /2 of 3 read/)
  await askReader(page, /^Read 3/, /Mean of 3, spread ΔE \d\.\d\d/)
  const meaning = page.getByTestId('meaning')
  await expect(reader.getByText(/Not calibrated since it was switched on/)).toBeVisible()
  await expect(meaning.first()).toContainText(
    /reader not calibrated by a simulated colour reader, mean of 3, ±\s3/,
  )
  const lrvOf = async (place: number): Promise<number> =>
    Number(/LRV (\d+)/.exec((await meaning.nth(place).textContent())!)![1])
  const before = await lrvOf(0)

  await askReader(page, /^Calibrate/, /Set on its white tile/)
  await expect(reader.getByText(/Not calibrated/)).toHaveCount(0)
  await askReader(page, /^Read 1/, /1 of 3 read/)
  await askReader(page, /^Read 2/, /2 of 3 read/)
  await askReader(page, /^Read 3/, /Mean of 3/)
  await expect(meaning).toHaveCount(2)
  await expect(meaning.nth(1)).toContainText(
    /\(spectrum by a simulated colour reader, mean of 3, ±\s0\.4\)/,
  )
  // The stand-in's tile has L* 90, so Y 76 (CIE 15); its lamp drifts down until it is set on the tile.
  expect(Math.abs((await lrvOf(1)) - 76)).toBeLessThanOrEqual(2)
  expect(before).toBeLessThan((await lrvOf(1)) - 3)

  await page.getByRole('button', { name: 'Leave ground out' }).click()
  await page.getByRole('button', { name: NAMES.save, exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Glazed tile' })).toBeVisible()
  await page.reload()
  const line = page.getByRole('listitem').filter({ hasText: 'Glazed tile' })
  await expect(line).toContainText(/\(spectrum by a simulated colour reader, mean of 3, ±\s0\.4\)/)
  await line.getByRole('button', { name: 'Change' }).click()
  await expect(page.getByLabel('Reflectances')).toHaveValue(/^400 0\.\d+\n410 /)
})

test('matched by eye with a stated shift, it is kept as said and moves that way', async ({
  page,
  ownApp: app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/keepers?light=lamps`)
  await addKeeper(page, 'Old chest')
  await page.getByRole('button', { name: 'A deck colour' }).click()
  await page.getByLabel('Code or name in a deck').fill('H111-4')
  await page.getByRole('button', { name: /^H111-4/ }).click()
  const meaning = page.getByTestId('meaning')
  const lrv = async (): Promise<number> =>
    Number(/LRV (\d+)/.exec((await meaning.textContent())!)![1])
  const asIs = await lrv()
  await page.getByLabel('It is', { exact: true }).selectOption('clearly darker than this')
  await expect.poll(lrv).toBeLessThan(asIs - 5)
  await page.getByLabel('and', { exact: true }).selectOption('a little greener than this')
  await expect(meaning).toContainText('± 3')
  await page.getByRole('button', { name: NAMES.save, exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Old chest' })).toBeVisible()
  await page.reload()
  const line = page.getByRole('listitem').filter({ hasText: 'Old chest' })
  await expect(line).toContainText(
    /by eye clearly darker, a little greener than Lornmere, Tarrowby Paintworks, House Fan, H111-4/,
  )
})

test('a finish that runs on into another room is entered once and judged in both', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const snug = demoRoom(visit, 'Basement snug')
  await open(page, `${snug}/keepers?light=lamps`)
  await addKeeper(page, 'Quarry tiles')
  await page.getByText('How much of it, cost, texture, place').click()
  await page.getByLabel('South bedroom').check()
  await page.getByRole('button', { name: NAMES.numbers }).click()
  await page.getByLabel(NAMES.lStar).fill('45')
  await page.getByLabel('a*').fill('18')
  await page.getByLabel('b*').fill('17')
  await page.getByRole('button', { name: NAMES.save, exact: true }).click()
  await expect(page.getByText('also in South bedroom')).toBeVisible()
  const bedroom = demoRoom(visit, 'South bedroom')
  await open(page, `${bedroom}/keepers`)
  await expect(page.getByRole('heading', { name: 'Quarry tiles' })).toBeVisible()
  await expect(page.getByText('also in Basement snug')).toBeVisible()
  await open(page, `${bedroom}/bench?by=pair`)
  // Five keepers, and the three candidates that are proposed there.
  await expect(page.getByTestId('place')).toHaveText(/ of 15$/)
})

test('a trim marked as leaving vanishes from all that is judged', async ({ page, ownApp: app }) => {
  const front = demoRoom(demoVisit(app), 'Front room')
  await open(page, `${front}/keepers?light=room&at=12:00&sky=clear`)
  const rose = page.getByRole('region', { name: 'Undertone rose' })
  const trim = page.getByRole('listitem').filter({ hasText: 'Cream picture rail' })
  await expect(rose.getByRole('img', { name: /Cream picture rail/ })).toHaveCount(1)
  await trim.getByRole('button', { name: 'Change' }).click()
  await page.getByLabel('State').selectOption('leaving')
  await page.getByLabel('What comes instead').fill('a plain batten')
  await page.getByRole('button', { name: NAMES.save, exact: true }).click()
  await expect(trim).toContainText('leaving: not judged against; instead: a plain batten')
  await expect(rose.getByRole('img', { name: /Cream picture rail/ })).toHaveCount(0)
  await open(page, `${front}/bench?by=pair`)
  await expect(page.getByTestId('place')).toHaveText(/ of 12$/)
  await expect(page.getByRole('img', { name: /Cream picture rail/ })).toHaveCount(0)
})

test('every mark of the undertone rose is reached by keyboard and named, and moves as the light bar is dragged', async ({
  page,
  app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
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
  const shape = marks.first().locator('g')
  const places = new Set([await shape.getAttribute('transform')])
  const handle = (await page.getByRole('slider', { name: NAMES.timeOfDay }).boundingBox())!
  await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2)
  await page.mouse.down()
  for (const by of [40, 80, 120]) {
    await page.mouse.move(handle.x + by, handle.y + handle.height / 2)
    await expect(async () => {
      const before = places.size
      places.add(await shape.getAttribute('transform'))
      expect(places.size).toBeGreaterThan(before)
    }).toPass()
  }
  await page.mouse.up()
})

test('readings go out as CGATS and CSV and come back in from the files, a bad one is refused by line', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app)
  const exported = async (as: string): Promise<string> =>
    (
      await page.request.get(`${app.url}/api/visits/${visit.split('/').at(-1)}/readings?as=${as}`)
    ).text()
  const [cgats, csv] = [await exported('cgats'), await exported('csv')]
  expect(cgats).toContain('"Stone counter, ground" 66.0')
  const snug = demoRoom(visit, 'Basement snug')
  await open(page, `${snug}/keepers`)
  await addKeeper(page, 'From a file')
  await page.getByRole('button', { name: 'A file' }).click()
  const input = page.getByLabel('Measurement file (CGATS, CSV)')
  const give = (name: string, text: string) =>
    input.setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
  await give('bad.txt', cgats.replace(/66\.0\d*/, ''))
  await expect(page.getByText(/Line \d+: Expected 5 fields, got 4/)).toBeVisible()
  await give('bad.csv', csv.replace('66.0000', '=SUM(A1)'))
  await expect(page.getByText(/Line \d+: L: Expected 0 to 100, got “=SUM\(A1\)”/)).toBeVisible()
  await give('readings.txt', cgats)
  await page.getByRole('button', { name: 'Stone counter, ground' }).click()
  await expect(page.getByLabel(NAMES.lStar)).toHaveValue('66')
  await expect(page.getByLabel('b*')).toHaveValue('14')
  await give('readings.csv', csv)
  await page.getByRole('button', { name: 'Stone counter, fleck' }).click()
  await page.getByRole('button', { name: 'Read Stone counter, fleck anew' }).click()
  await expect(page.getByLabel(NAMES.lStar)).toHaveValue('48')
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id }) => id)).toEqual([])
})

test('a file that does not say what its numbers are for is asked, and what it says goes along', async ({
  page,
  app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/keepers`)
  await addKeeper(page, 'From a device')
  await page.getByRole('button', { name: 'A file' }).click()
  const table = (columns: string, row: string): Buffer =>
    Buffer.from(
      `CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID ${columns}\nEND_DATA_FORMAT\nBEGIN_DATA\n${row}\nEND_DATA\n`,
    )
  const input = page.getByLabel('Measurement file (CGATS, CSV)')
  await input.setInputFiles({
    name: 'slate.txt',
    mimeType: 'text/plain',
    buffer: table('LAB_L LAB_A LAB_B', 'slate 40 6 12'),
  })
  await expect(page.getByText(/does not say which light and which eye/)).toBeVisible()
  await page.getByLabel('Numbers are for').selectOption('D50 2deg')
  await expect(page.getByText('Given for D50, 2°; made D65, 2° here.')).toBeVisible()
  await page.getByRole('button', { name: 'slate' }).click()
  // The same surface by daylight is another number.
  await expect(page.getByLabel('a*')).not.toHaveValue('6')
  await expect(page.getByTestId('meaning')).toContainText(
    'L*a*b* reading by the file slate.txt, given for D50, 2°',
  )
  await input.setInputFiles({
    name: 'dark.txt',
    mimeType: 'text/plain',
    buffer: table('SPEC_400 SPEC_550 SPEC_700', 'soot 0.5 0.7 0.9'),
  })
  await expect(page.getByText(/largest value is 0.9: a share of the light/)).toBeVisible()
  await page.getByLabel('Values are').selectOption('percent')
  await page.getByRole('button', { name: 'soot' }).click()
  await expect(page.getByTestId('meaning').nth(1)).toContainText(/^LRV 1,/)
})
