import { expect } from '@playwright/test'
import { demoVisit, hexOf, open, rgbOf, demoRoom, test } from './app'
import { NAMES } from './names'

test('from a painted chest that leads two schemes stand side by side, are taken up and judged wall by wall', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const bedroom = demoRoom(visit, 'South bedroom')
  await open(page, `${bedroom}/lead?light=room&at=10:00&sky=clear`)
  // A piece of several colours inspires; nothing had to be chosen for it to be proposed.
  await expect(page.getByRole('button', { name: 'Painted chest' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  const calm = page.getByRole('region', { name: 'From its field: calm' })
  const contrast = page.getByRole('region', { name: 'From its line: contrast' })
  const wallOf = async (scheme: typeof calm) =>
    rgbOf(await hexOf(scheme.locator('[data-hex]').first()))
  // The field is a madder red, the line a blue: the walls take after them.
  const [calmRed, , calmBlue] = await wallOf(calm)
  expect(calmRed).toBeGreaterThan(calmBlue + 10)
  const [red, , blue] = await wallOf(contrast)
  expect(blue).toBeGreaterThan(red + 10)

  await calm.getByRole('radio', { name: 'two halves' }).click()
  await expect(calm.getByText(/^Upper half, /)).toBeVisible()
  await expect(calm.getByText(/^Lower half, /)).toBeVisible()
  await expect(calm.getByText(/Its line, nearest/)).toBeVisible()
  await expect(calm.getByText(/^Button-back chair, arriving: /)).toBeVisible()

  const take = calm.getByRole('button', { name: /^Take up/ })
  const [, strength] = /Take up at (\d+) %/.exec((await take.textContent())!)!
  const nearest = calm.getByRole('group', { name: 'Nearest colours' }).getByRole('button')
  const [name] = /^\S+/.exec(await nearest.first().innerText())!
  await take.click()
  await expect(calm.getByRole('button', { name: /^Taken up/ })).toBeVisible()
  await open(page, `${bedroom}/shortlist?part=proposed`)
  await expect(page.getByRole('img', { name: `${name} at ${strength} per cent` })).toBeVisible()
})

test('another piece can lead, is remembered, and the schemes follow the light', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  await open(page, `${kitchen}/lead?light=room&at=12:00&sky=clear`)
  // Nothing there inspires: the dearest finish is proposed.
  await expect(page.getByRole('button', { name: 'Oak floor' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.getByRole('button', { name: NAMES.stoneCounter }).press('Enter')
  await expect(page.getByText('Stone counter leads.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: NAMES.stoneCounter })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  const wall = page
    .getByRole('region', { name: /^From its ground/ })
    .locator('[data-hex]')
    .first()
  const noon = await hexOf(wall)
  await page.getByRole('radio', { name: NAMES.lamps }).click()
  await expect.poll(() => hexOf(wall)).not.toBe(noon)
})
