import { expect, type Page } from '@playwright/test'
import { demoVisit, hexOf, open, rgbOf, demoRoom, test } from './app'
import { NAMES } from './names'

/** What the page shows of the demo's warm off-white, and of the light, in a room at a time. */
async function seenAt(page: Page, room: string, at: string) {
  await open(page, `${room}/shortlist?part=proposed&light=room&at=${at}&sky=clear&lamps=off`)
  const swatch = page.getByRole('img', { name: 'Harlmoor at 100 per cent' })
  const [red, , blue] = rgbOf(await hexOf(swatch))
  const cctK = Number(
    await page.getByRole('region', { name: NAMES.light }).getAttribute('data-cct'),
  )
  return { warmth: red - blue, cctK }
}

test('one candidate at 17:30 is warmer in the west room than in the north room', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app)
  const north = await seenAt(page, demoRoom(visit, 'Front room'), '17:30')
  const west = await seenAt(page, demoRoom(visit, 'Kitchen'), '17:30')
  // Common practice: north daylight 6,500 to 10,000 K, a west room in late sun 4,000 to 5,500 K.
  expect(north.cctK).toBeGreaterThan(6500)
  expect(north.cctK).toBeLessThan(10_000)
  expect(west.cctK).toBeGreaterThan(4000)
  expect(west.cctK).toBeLessThan(5500)
  // Red over blue of the swatch, in steps of 255: the off-white itself has about 10.
  expect(west.warmth - north.warmth).toBeGreaterThanOrEqual(3)
})

test('below the equator the north room is the warm one and the south room the cool one', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app, 'Pell and Ibbotrey')
  const cctOf = async (room: string): Promise<number> => {
    await open(page, `${demoRoom(visit, room)}/light?light=room&at=13:00&sky=clear`)
    return Number(await page.getByRole('region', { name: NAMES.light }).getAttribute('data-cct'))
  }
  // Common practice: the sunny side 4,500 to 6,500 K about noon, the shaded side above; summer sun
  // stands high, so the two are nearer than in winter.
  const north = await cctOf('Living room')
  const south = await cctOf('Back study')
  expect(north).toBeGreaterThan(4500)
  expect(north).toBeLessThan(6500)
  expect(south).toBeGreaterThan(6500)
  expect(south).toBeLessThan(10_000)
  await expect(page.getByText('House rule for a cool south room')).toBeVisible()
  await expect(page.getByRole('radio', { name: 'South light' })).toBeVisible()
})

test('what is leaving is shown, and never judged against', async ({ page, app }) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/keepers`)
  await expect(page.getByText('tile, leaving: not judged against')).toBeVisible()
  await open(page, `${kitchen}/bench?by=pair`)
  // Two keepers that stay, six candidates: the tile is in none of the pairs.
  const place = page.getByTestId('place')
  await expect(place).toHaveText(/ of 12$/)
  const first = Number((await place.textContent())!.split(' ')[0]) - 1
  for (let i = first; i < first + 12; i++) {
    await expect(page.getByRole('img', { name: /Blue-white tile/ })).toHaveCount(0)
    await page.keyboard.press('ArrowRight')
    await expect(page.getByTestId('place')).toHaveText(`${((i + 1) % 12) + 1} of 12`)
  }
})

test('a mid or deep base has no ladder but the reason why', async ({ page, app }) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/shortlist`)
  await page.getByLabel(NAMES.codeOrName).fill('H111-7')
  await page.getByLabel(NAMES.codeOrName).press('Enter')
  await page.getByRole('tab', { name: 'Strength' }).click()
  await expect(page.getByText(/A deep base holds little white/)).toContainText(
    /hide [\d.]+ % of black in two coats instead of/,
  )
  const strength = page.getByRole('tabpanel', { name: 'Strength' })
  await expect(strength.getByRole('button', { name: /^Take up at/ })).toHaveCount(1)
})

test('a verdict can be undone and stays on record, struck out', async ({ page, ownApp: app }) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/bench?by=pair`)
  await page.getByRole('button', { name: /^unsure/ }).click()
  const last = page.getByRole('region', { name: NAMES.lastLook })
  await page.keyboard.press('0')
  await expect(last).toContainText('unsure: too dark')
  await last.getByRole('button', { name: NAMES.undo }).click()
  await expect(last.locator('.line-through', { hasText: 'unsure: too dark' })).toBeVisible()
})

test('what fails says what to fetch next', async ({ page, app }) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/shortlist?colour=H117-5`)
  await expect(page.getByRole('heading', { name: /at 100 %$/ })).toBeVisible()
  await page.keyboard.press('y')
  const next = page.getByRole('region', { name: 'Fetch next' })
  // A sage is sent pinker beside an orange-pink counter, never greener (common practice).
  await expect(next).toContainText(/pinker|violet|orange|redder|greyer/)
  await expect(next).not.toContainText(/greener/)
})

test('a paint’s page: how it sits here, how it turns through the day, and what goes with it; taken up and back there', async ({
  page,
  app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  // Before anything is typed the visit's own colours can be tried.
  await open(page, `${kitchen}/trial`)
  const own = page.getByRole('region', { name: 'Colours of this visit' }).getByRole('button')
  const [tried] = /^\S+/.exec(await own.first().innerText())!
  await own.first().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tried)
  await open(page, `${kitchen}/trial?colour=H111-4`)
  const does = page.getByRole('region', { name: 'What it does' })
  await expect(does).toContainText(/from \d\d:\d\d it leans yellow/)
  await expect(does.getByRole('region', { name: 'Beside what stays' })).toContainText(
    'Stone counter',
  )
  await expect(page.getByText(/Takes fixed finishes that lean/)).toBeVisible()
  const wall = page.getByRole('region', { name: 'On the wall' })
  await expect(wall.getByText(/a little stronger|stronger/).first()).toBeVisible()
  const goes = page.getByRole('region', { name: 'What goes with it' })
  // This visit leaves trim to the pairing table: what is likeliest to work stands first.
  await expect(goes.getByRole('listitem').first()).toContainText(/(?<!likely )works/)
  await goes.getByRole('button').first().click()
  await expect(page).toHaveURL(/colour=/)
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('Lornmere')
})

test('a paint is reached by its name from anywhere, taken up for a surface at a strength, and back with the same key', async ({
  page,
  ownApp: app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/light`)
  await page.keyboard.press('ControlOrMeta+k')
  await page.getByPlaceholder('A few letters').fill('H117-5')
  await page.getByRole('option', { name: /^H117-5/ }).click()
  await expect(page).toHaveURL(/\/trial\?paint=/)
  await page.getByRole('combobox', { name: 'At', exact: true }).selectOption('75')
  await page.getByLabel('Taken up for').selectOption('trim')
  const take = page.getByRole('button', { name: /^Taken? up at 75 %/ })
  await expect(take).toHaveAttribute('aria-pressed', 'false')
  await take.click()
  await expect(take).toHaveAttribute('aria-pressed', 'true')
  // Taken up for the trim it is not for the walls, and back it is for nothing.
  await page.getByLabel('Taken up for').selectOption('walls')
  await expect(take).toHaveAttribute('aria-pressed', 'false')
  await page.getByLabel('Taken up for').selectOption('trim')
  await page.reload()
  await expect(page.getByRole('combobox', { name: 'At', exact: true })).toHaveValue('75')
  await page.getByLabel('Taken up for').selectOption('trim')
  await expect(take).toHaveAttribute('aria-pressed', 'true')
  await take.click()
  await expect(page.getByText('is taken back.')).toBeVisible()
  await expect(take).toHaveAttribute('aria-pressed', 'false')

  // Before there is a visit it has a page too, in an ordinary room.
  await open(page, `${app.url}/decks`)
  await page.keyboard.press('ControlOrMeta+k')
  await page.getByPlaceholder('A few letters').fill('H117-5')
  await page.getByRole('option', { name: /^H117-5/ }).click()
  await expect(page.getByText('There is no room yet')).toBeVisible()
  await expect(page.getByRole('region', { name: 'What goes with it' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Take up/ })).toHaveCount(0)
})

test('the house rule on trim, changed in the brief, puts its own trim first', async ({
  page,
  app,
}) => {
  const visit = demoVisit(app, 'Mrs Quillan')
  await open(page, `${visit}/brief`)
  await page.getByText(/^House rules:/).click()
  await page.getByLabel(NAMES.trim).selectOption('same')
  await page.getByRole('button', { name: NAMES.saveTheBrief }).click()
  await expect(page.getByText(NAMES.saved)).toBeVisible()
  const hall = demoRoom(visit, 'Hall')
  await open(page, `${hall}/trial?colour=H111-4`)
  const goes = page.getByRole('region', { name: 'What goes with it' })
  await expect(goes.getByRole('listitem').first()).toContainText('Same colour')
})
