import { expect } from '@playwright/test'
import { open, pressKeyOn, tabsPressed, tabTo, test, typeInto } from './app'

// Of the eighty that a first verdict may take.
const MOST_TABS = 45

test('an empty store of one’s own: by keyboard alone, in feet, on a turned house, to a room with its light', async ({
  page,
  emptyApp: app,
}) => {
  test.setTimeout(90_000)
  const button = (name: string | RegExp) => page.getByRole('button', { name })
  tabsPressed()
  let total = 0
  const count = (what: string): void => {
    const pressed = tabsPressed()
    total += pressed
    console.log(`tabs, ${what}: ${pressed}`)
  }

  await test.step('the first start', async () => {
    await open(page, app.url)
    await typeInto(page, page.getByLabel('Your name'), 'Mira Holl')
    await tabTo(page, page.getByLabel('Lengths in'))
    await page.keyboard.type('feet')
    await page.keyboard.press('Shift+Tab')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('link', { name: 'First visit' })).toBeVisible()
    count('first start')
  })

  await test.step('the brief: a town of the list, a date, three rooms', async () => {
    await pressKeyOn(page, page.getByRole('link', { name: 'First visit' }))
    await typeInto(page, page.getByLabel('Household'), 'The Venn household')
    await typeInto(page, page.getByLabel('Place', { exact: true }), 'Valpara')
    await expect(page.getByRole('option', { name: /Valpara/ }).first()).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByText('Clock of America/Santiago.')).toBeVisible()
    await typeInto(page, page.getByLabel('Date of the visit'), '2026-11-20')
    await typeInto(page, page.getByLabel('Name of a room to add'), 'Kitchen')
    await page.keyboard.press('Enter')
    await page.keyboard.type('Hall')
    await page.keyboard.press('Enter')
    await page.keyboard.type('Back bedroom')
    await page.keyboard.press('Enter')
    await page.keyboard.press('Enter')
    await page.waitForURL(/\/light/)
    count('brief')
  })

  await test.step('the kitchen: its size in feet, turned by 33°, a window and lamps', async () => {
    await pressKeyOn(page, page.locator('summary', { hasText: 'Name, size and use' }))
    await typeInto(page, page.getByLabel('North to south'), `14' 6"`)
    await typeInto(page, page.getByLabel('East to west'), '12 ft')
    await typeInto(page, page.getByLabel('North wall faces'), '33')
    await page.keyboard.press('Enter')
    await expect(page.getByText(/14′ 6″ north to south, 12′ east to west/)).toBeVisible()
    await pressKeyOn(page, button('Window in the north wall'))
    await expect(page.getByLabel('Width')).toBeFocused()
    await page.keyboard.press('Enter')
    await expect(page.getByText(/^Window, faces north-east, 33°/)).toBeVisible()
    count('light')
  })

  console.log(`tabs from an empty store to a room with its light: ${total}`)
  expect(total).toBeLessThanOrEqual(MOST_TABS)
})
