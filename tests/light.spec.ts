import { expect, type Page } from '@playwright/test'
import { demoVisit, hexOf, open, pressKeyOn, rgbOf, demoRoom, tabTo, test, typeInto } from './app'
import { NAMES } from './names'

const bar = (page: Page) => page.getByRole('region', { name: NAMES.light, exact: true })
const cctOf = async (page: Page): Promise<number> =>
  Number(await bar(page).getAttribute('data-cct'))

/** A room from nothing by keyboard: a window by its compass point, lamps by a preset; all else as it comes. */
async function setUpRoom(page: Page, visit: string, name: string, faces: string): Promise<string> {
  await open(page, `${visit}/rooms/new`)
  await typeInto(page, page.getByLabel('Name of the room'), name)
  await pressKeyOn(page, page.getByRole('button', { name: 'Add the room' }))
  await page.waitForURL(/\/light/)
  await expect(page.getByText('No window and no lamp yet')).toBeVisible()
  await typeInto(page, page.getByLabel(NAMES.windowFaces), faces)
  await pressKeyOn(page, page.getByRole('button', { name: NAMES.addTheWindow }))
  await expect(page.getByText(/^Window, faces /)).toBeVisible()
  await pressKeyOn(page, page.getByRole('button', { name: NAMES.addTheLamps }))
  await expect(page.getByText(/2,700 K, 1,600 lumens together/)).toBeVisible()
  return page.url().replace(/\/light.*/, '')
}

test('a north and a west room set up by keyboard in a few inputs: the west warms towards evening, the north stays cool', async ({
  page,
  app,
}) => {
  test.setTimeout(120_000)
  const visit = demoVisit(app, 'Dr Abelard and sons')
  const north = await setUpRoom(page, visit, 'North by hand', 'N')
  const west = await setUpRoom(page, visit, 'West by hand', '270')
  const seen: Record<string, { cctK: number; warmth: number }[]> = { north: [], west: [] }
  for (const [name, room] of [
    ['north', north],
    ['west', west],
  ] as const)
    for (const at of ['11:00', '18:30']) {
      await open(page, `${room}/shortlist?part=proposed&light=room&at=${at}&sky=clear&lamps=off`)
      const [red, , blue] = rgbOf(
        await hexOf(page.getByRole('img', { name: 'Lornness at 75 per cent' })),
      )
      seen[name]!.push({ cctK: await cctOf(page), warmth: red - blue })
    }
  const [noon, evening] = seen.west!
  // Common practice: a west room is subdued and cool before noon, warm late; a north room cool and even.
  expect(noon!.cctK).toBeGreaterThan(6500)
  expect(evening!.cctK).toBeLessThan(5500)
  expect(evening!.warmth).toBeGreaterThan(noon!.warmth)
  for (const { cctK } of seen.north!) expect(cctK).toBeGreaterThan(6500)
})

test('the bar is dragged by keys and by hand: swatches follow, the moment lands in the address', async ({
  page,
  app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/bench?by=pair&light=room&at=12:00&sky=clear&lamps=off`)
  const swatch = page.getByTestId('candidate-swatch').getByRole('img')
  const before = await hexOf(swatch)
  const handle = page.getByRole('slider', { name: NAMES.timeOfDay })
  const box = (await handle.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 200, box.y + 10, { steps: 8 })
  await expect(swatch).not.toHaveAttribute('data-hex', before)
  const address = page.url()
  await page.mouse.up()
  await expect(page).not.toHaveURL(address)
  const late = await hexOf(swatch)
  await open(page, page.url())
  expect(await hexOf(swatch)).toBe(late)
  // A spot, linked as well.
  await page.getByLabel('Spot in the room').selectOption('east-back')
  await expect(page).toHaveURL(/spot=east-back/)
  await expect(bar(page)).not.toHaveAttribute('data-lux', '')
})

test('times are the place’s own, also when the browser sits in another zone', async ({
  browser,
  app,
}) => {
  const seen: string[] = []
  for (const timezoneId of ['Europe/London', 'Pacific/Auckland']) {
    const page = await browser.newPage({ timezoneId, viewport: { width: 1280, height: 800 } })
    const room = demoRoom(demoVisit(app, 'Pell and Ibbotrey'), 'Living room')
    await open(page, `${room}/light?light=room&at=13:00&sky=clear`)
    await expect(bar(page)).toContainText('13:00')
    seen.push(
      `${await cctOf(page)} ${await bar(page).getAttribute('data-lux')} ${await page.getByRole('region', { name: NAMES.theDayInWords }).textContent()}`,
    )
    await page.close()
  }
  expect(seen[0]).toBe(seen[1])
})

test('summer and winter are one tap apart, a date that does not exist is refused', async ({
  page,
  app,
}) => {
  const room = demoRoom(demoVisit(app), 'South bedroom')
  await open(page, `${room}/light?light=room&at=12:00&sky=clear`)
  const words = page.getByRole('region', { name: NAMES.theDayInWords })
  await page.getByRole('radio', { name: '21 June' }).click()
  const summer = await words.textContent()
  await page.getByRole('radio', { name: '21 December' }).click()
  await expect(words).not.toHaveText(summer!)
  await expect(page).toHaveURL(/day=2026-12-21/)
  await page.getByLabel(NAMES.anotherDay).fill('2026-02-30')
  await page.getByRole('button', { name: NAMES.show }).click()
  await expect(
    page.getByText(/Expected a date that exists, of 2024 to 2029 .*got “2026-02-30”/),
  ).toBeVisible()
})

test('the model is pinned to a meter reading; one that disagrees is asked about first', async ({
  page,
  app,
}) => {
  const room = demoRoom(demoVisit(app), 'Landing study')
  await open(page, `${room}/light?light=room&at=12:00&sky=clear&lamps=off`)
  const meter = page.getByRole('region', { name: 'Meter' })
  const lux = Number(await bar(page).getAttribute('data-lux'))
  await meter.getByLabel('Metered', { exact: true }).fill(String(lux * 6))
  await meter.getByLabel('Metered colour').fill('6000')
  await meter.getByRole('button', { name: NAMES.save }).click()
  await expect(meter.getByText(/times as bright as expected: is a lamp on/)).toBeVisible()
  await meter.getByLabel('Metered', { exact: true }).fill(String(lux * 2))
  await meter.getByRole('button', { name: NAMES.save }).click()
  await expect(meter.getByText(/pinned to the meter/)).toBeVisible()
  await expect
    .poll(async () => Number(await bar(page).getAttribute('data-lux')) / lux)
    .toBeCloseTo(2, 1)
  await meter.getByRole('button', { name: /^Drop the reading/ }).click()
  await expect(bar(page)).toHaveAttribute('data-lux', String(lux))
})

test('the simulated meter warms up, then reads', async ({ page, app }) => {
  const room = demoRoom(demoVisit(app), 'Landing study')
  await open(page, `${room}/light?light=room&at=12:00&sky=clear`)
  const meter = page.getByRole('region', { name: 'Meter' })
  await meter.getByRole('button', { name: 'Read it' }).click()
  await expect(meter.getByText('The meter warms up. Read once more.')).toBeVisible()
  await expect(async () => {
    await meter.getByRole('button', { name: 'Read it' }).click()
    await expect(meter.getByLabel('Metered', { exact: true })).not.toHaveValue('', { timeout: 500 })
  }).toPass()
})

test('rooms are put in order, copied, taken out and put back', async ({ page, app }) => {
  const visit = demoVisit(app, 'Pell and Ibbotrey')
  await open(page, `${visit}/brief`)
  const list = page.getByRole('region', { name: 'Rooms of the visit' })
  const names = list.getByRole('listitem')
  await expect(names.first()).toContainText('Living room')
  // By key: picked up, moved down, let go.
  await list.getByRole('button', { name: 'Move Living room', exact: true }).focus()
  await page.keyboard.press('Space')
  await expect(page.getByText('Living room: place 1 of 2.')).toBeAttached()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText('Living room: place 2 of 2.')).toBeAttached()
  await page.keyboard.press('Space')
  await expect(names.first()).toContainText('Back study')
  await list.getByRole('button', { name: 'Copy Back study' }).click()
  await expect(names).toHaveCount(3)
  await expect(list.getByText('Back study 2')).toBeVisible()
  await list.getByRole('button', { name: 'Remove Back study 2' }).click()
  await expect(names).toHaveCount(2)
  await list.getByRole('button', { name: NAMES.undo }).click()
  await expect(names).toHaveCount(3)
})

test('a house turned from the compass has its walls turned, and a window its place along one', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app, 'Mrs Quillan')
  await open(page, `${visit}/rooms/new`)
  await page.getByLabel('Name of the room').fill('Turned parlour')
  await page.getByLabel(NAMES.northWallFaces).fill('60')
  await page.getByRole('button', { name: 'Add the room' }).click()
  await expect(page.getByText('Expected -45 to 45 °, got “60”.')).toBeVisible()
  await page.getByLabel(NAMES.northWallFaces).fill('30')
  await page.getByRole('button', { name: 'Add the room' }).click()
  // Its south wall faces 210°.
  await page.getByRole('button', { name: 'Window in the south wall' }).click()
  await expect(page.getByLabel(NAMES.windowFaces)).toHaveValue('210')
  // It is put in at once, of the usual size; what is known better is typed.
  await expect(page.getByText(/^Window, faces south-west, 210°: 1.4 m wide/)).toBeVisible()
  await page.getByText(/^Sill 0.9 m/).click()
  await page.getByLabel('Its middle along the wall').fill('25')
  await page.getByRole('button', { name: 'Save the window' }).click()
  await expect(
    page.getByText(
      'Window, faces south-west, 210°: 1.4 m wide, 1.4 m high, its middle at 25 % of the wall',
    ),
  ).toBeVisible()
})

test('a room is set up on its picture alone: a wall dragged out, a tap for a window, one for a lamp', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app, 'Mrs Quillan')
  await open(page, `${visit}/rooms/new`)
  await page.getByLabel('Name of the room').fill('Box room')
  await page.getByRole('button', { name: 'Add the room' }).click()
  await expect(page.getByText(/4.5 m north to south, 4 m east to west/)).toBeVisible()
  const wall = (name: string) => page.getByRole('button', { name: `Window in the ${name} wall` })
  const east = (await wall('east').boundingBox())!
  const [x, y] = [east.x + east.width / 2, east.y + east.height / 2]
  const floor = (await page.getByRole('button', { name: /^Put in a lamp/ }).boundingBox())!
  await page.mouse.move(x, y)
  await page.mouse.down()
  // A quarter of half a width further out.
  await page.mouse.move(x + floor.width / 8, y, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByText(/4.5 m north to south, 5 m east to west/)).toBeVisible()
  // No tap was meant by it.
  await expect(page.getByText(/^Window, faces/)).toHaveCount(0)
  await wall('south').click()
  await expect(page.getByText(/^Window, faces south, 180°: 1.4 m wide/)).toBeVisible()
  await page.getByRole('button', { name: /^Put in a lamp/ }).click()
  await expect(page.getByText(/1,600 lumens together, .*pendant/)).toBeVisible()
  // The same by keys: a side a step longer.
  await wall('north').focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByText(/4.6 m north to south, 5 m east to west/)).toBeVisible()
})

test('a ceiling of 0, a lamp of −100 lumens and an hour the clocks skip are refused at the field', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app, 'Mrs Quillan')
  await open(page, `${visit}/rooms/new`)
  await page.getByLabel('Name of the room').fill('Nowhere')
  await page.getByLabel('Ceiling height').fill('0')
  await page.getByRole('button', { name: 'Add the room' }).click()
  await expect(page.getByText('Expected 1.5 m to 15 m, got “0”.')).toBeVisible()
  await expect(page.getByLabel('Name of the room')).toHaveValue('Nowhere')
  const hall = demoRoom(visit, 'Hall')
  await open(page, `${hall}/light`)
  await page.getByLabel('Light together').fill('-100')
  await page.getByRole('button', { name: NAMES.addTheLamps }).click()
  await expect(page.getByText('Expected 10 to 100,000 lm, got “-100”.')).toBeVisible()
  await open(page, `${visit}/brief`)
  await page.getByLabel(NAMES.dateOfTheVisit).fill('2026-03-29')
  await page.getByLabel('Visit from').fill('01:30')
  await page.getByRole('button', { name: NAMES.saveTheBrief }).click()
  await expect(
    page.getByText('Expected an hour of that day, got 01:30: the clocks jump over it.'),
  ).toBeVisible()
})

test('the day plan comes as a calendar file in the order shown', async ({ page, app }) => {
  const visit = demoVisit(app)
  await open(page, `${visit}/plan?sky=clear`)
  const stops = page
    .getByRole('main')
    .getByRole('listitem')
    .filter({ hasText: /\d\d:\d\d–/ })
  await expect(stops).toHaveCount(5)
  // The east window of the landing before the west window of the kitchen (common practice).
  const texts = await stops.allTextContents()
  const place = (name: string) => texts.findIndex((text) => text.includes(name))
  expect(place('Landing study')).toBeLessThan(place('Kitchen'))
  const answer = await page.request.get(`${app.url}/api/visits/${visit.split('/').at(-1)}/plan`)
  expect(answer.headers()['content-type']).toContain('text/calendar')
  expect((await answer.text()).match(/BEGIN:VEVENT/g)).toHaveLength(5)
})

test('the room is drawn with the sun’s patch when the sun is in', async ({ page, app }) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/light?light=room&at=17:30&sky=clear`)
  await expect(page.getByTestId('sun-patch')).toHaveCount(1)
  await open(page, `${kitchen}/light?light=room&at=10:00&sky=clear`)
  await expect(page.getByTestId('sun-patch')).toHaveCount(0)
  await tabTo(page, page.getByRole('button', { name: 'Window in the east wall' }))
})
