import { expect } from '@playwright/test'
import { open, pressKeyOn, tabsPressed, tabTo, test, typeInto } from './app'
import { CARD_AT, photograph } from './photographs'

// Readings by a colour reader, invented; kinds by the letters one types in their list.
const KEEPERS = [
  ['floor', '48 9 22'],
  ['tile', '84 0 4'],
  ['cab', '71 1 9'],
  ['upho', '42 -3 -9'],
] as const
const MOST_TABS = 80

test('an empty store of one’s own: by keyboard alone, in feet, on a turned house, to a first verdict', async ({
  page,
  emptyApp: app,
}) => {
  test.setTimeout(240_000)
  const button = (name: string | RegExp) => page.getByRole('button', { name })
  const spine = (name: RegExp) =>
    page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name })
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
    await page.keyboard.press('Enter')
    await expect(page.getByText(/^Window, faces north-north-east, 33°/)).toBeVisible()
    count('light')
  })

  await test.step('what stays: one by photo, four by a reader', async () => {
    await pressKeyOn(page, spine(/^Keepers/))
    await expect(page.getByRole('textbox', { name: 'What stays' })).toBeFocused()
    await tabTo(page, page.getByLabel('Kind'))
    await page.keyboard.type('stone')
    await page.getByLabel('Photo with a card').setInputFiles({
      name: 'stone.png',
      mimeType: 'image/png',
      buffer: await photograph('D65'),
    })
    const photo = button(/^The photo;/)
    await tabTo(page, photo)
    await page.getByRole('button', { name: /^The photo; tap its white card/ }).waitFor()
    for (const [i, [x, y]] of CARD_AT.entries()) {
      if (i === 0) await expect(photo).toBeFocused()
      const box = (await photo.boundingBox())!
      await photo.click({ position: { x: box.width * x, y: box.height * y } })
    }
    await expect(page.getByText(/Taken over, with the photo/)).toBeVisible()
    await pressKeyOn(page, button('Keep it'))
    for (const [kind, lab] of KEEPERS) {
      await pressKeyOn(page, button('Add what stays'))
      await tabTo(page, page.getByLabel('Kind'))
      await page.keyboard.type(kind)
      await tabTo(page, page.getByLabel('L*', { exact: true }))
      await page.keyboard.insertText(lab)
      await page.keyboard.press('Enter')
      await expect(button('Add what stays')).toBeFocused()
    }
    await expect(page.getByRole('heading', { level: 2 })).toHaveCount(5)
    count('keepers')
  })

  await test.step('two candidates', async () => {
    await pressKeyOn(page, spine(/^Shortlist/))
    for (const code of ['H111-4', 'H084-3']) {
      await typeInto(page, page.getByLabel('Code or name'), code)
      await page.keyboard.press('Enter')
      await pressKeyOn(page, button(/^Take up at/))
      await expect(button(/^Taken up at/)).toBeVisible()
    }
    count('candidates')
  })

  await test.step('a first verdict, in the grid and on the sheet', async () => {
    await pressKeyOn(page, spine(/^Bench/))
    await expect(page.getByTestId('lrv')).toBeVisible()
    await page.keyboard.press('h')
    await page.keyboard.press('w')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status', { name: 'What came of it' })).toContainText(/kept|Kept/)
    await pressKeyOn(page, spine(/^House grid/))
    await expect(page.getByRole('link', { name: /in Kitchen: works/ }).first()).toBeVisible()
    await pressKeyOn(page, spine(/^Sheet/))
    await expect(page.getByText('Mira Holl').first()).toBeVisible()
    count('verdict, grid and sheet')
  })
  console.log(`tabs from an empty store to a first verdict: ${total}`)
  expect(total).toBeLessThanOrEqual(MOST_TABS)
})
