import { expect } from '@playwright/test'
import { demoVisit, open, demoRoom, test, pickKind } from './app'
import { NAMES } from './names'

test('a brief with an impossible place, date and name is refused at its fields, and kept as typed', async ({
  page,
  app,
}) => {
  await open(page, `${app.url}/visits/new`)
  const typed = [
    ['Household', ' ', /Expected the household’s name, got nothing/],
    [
      'Date of the visit',
      '2026-02-30',
      /Expected a date that exists, as 2026-06-21, got “2026-02-30”/,
    ],
    ['Latitude', '95', /Expected -90 to 90 °, got “95”/],
    ['Longitude', 'east', /Expected -180 to 180 °, got “east”/],
  ] as const
  await page.getByText(NAMES.byCoordinates).click()
  for (const [label, text] of typed) await page.getByLabel(label).fill(text)
  await page.getByLabel(NAMES.place, { exact: true }).fill('Nowhere')
  await page.getByRole('button', { name: 'Save the visit' }).click()
  for (const [label, text, message] of typed) {
    await expect(page.getByText(message)).toBeVisible()
    await expect(page.getByLabel(label)).toHaveValue(text)
  }
  await expect(page.getByLabel(NAMES.household)).toBeFocused()
  await open(page, app.url)
  await expect(page.getByText('Nowhere')).toHaveCount(0)
})

test('a bearing of 400 and a window wider than its wall are refused, and no window is stored', async ({
  page,
  app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/light`)
  await page.getByLabel(NAMES.windowFaces).fill('400')
  await page.getByRole('button', { name: NAMES.addTheWindow }).click()
  await expect(
    page.getByText('Expected 0 to 359.9 ° or a compass point as SW, got “400”.'),
  ).toBeVisible()
  await expect(page.getByLabel(NAMES.windowFaces)).toHaveValue('400')
  await page.getByLabel(NAMES.windowFaces).fill('180')
  await page.getByLabel(NAMES.width).fill('4.2')
  await page.getByRole('button', { name: NAMES.addTheWindow }).click()
  await expect(
    page.getByText('Expected at most 4 m, the width of the south wall, got 4.2 m.'),
  ).toBeVisible()
  await page.reload()
  await expect(page.getByText(/^Window, faces /)).toHaveCount(0)
})

test('L* of 140, a hex of five digits and a colour no finish has are refused', async ({
  page,
  app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/keepers`)
  await page.getByRole('button', { name: NAMES.addWhatStays }).click()
  await pickKind(page, 'Stone')
  await page.getByRole('button', { name: NAMES.numbers }).click()
  await page.getByRole('textbox', { name: NAMES.whatStays }).fill('Ghost')
  const keep = page.getByRole('button', { name: NAMES.save, exact: true })
  const lab = async (...values: string[]) => {
    for (const [i, axis] of ['L*', 'a*', 'b*'].entries())
      await page.getByLabel(axis, { exact: true }).fill(values[i]!)
    await keep.click()
  }
  await lab('140', '0', '0')
  await expect(page.getByText('Expected 0 to 100, got “140”.')).toBeVisible()
  await expect(page.getByLabel(NAMES.lStar, { exact: true })).toHaveValue('140')
  await lab('90', '60', '-60')
  await expect(page.getByText(/No painted surface can have this colour/)).toBeVisible()
  await page.getByLabel('Numbers as').selectOption('hex')
  await page.getByLabel('Hex').fill('#12345')
  await keep.click()
  await expect(page.getByText('Expected six digits 0–9 a–f, got “#12345”.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Ghost' })).toHaveCount(0)
})

test('addresses of nothing say so', async ({ page, app, consoleMay }) => {
  consoleMay.push(/status of 404/)
  for (const address of [
    '/visits/nonsense/brief',
    '/visits/00000000-0000-4000-8000-000000000000/grid',
  ]) {
    expect((await page.goto(app.url + address))!.status()).toBe(404)
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible()
  }
})
