import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, type Locator, type Page } from '@playwright/test'
import { chooseKind, open, pickKind, tabsPressed, tabTo, test, typeInto, type App } from './app'
import { NAMES } from './names'

// A whole house of one's own, counted: five rooms, eleven finishes, a deck of sixty, fourteen colours taken up, one room ruled,
// its sheets. An action is one thing done: a press, a field filled, a place pointed at. With ELM_LONG=1 only.

const NOON = new Date('2026-11-20T15:00:00Z')
/** Each room with its window and what stays in it: kind, its first letters, how many colours are taken up there. */
const HOUSE = [
  [
    'Kitchen',
    'south',
    [
      ['Floor', 'fl'],
      ['Trim', 'tr'],
      ['Cabinet', 'cab'],
      ['Countertop', 'co'],
    ],
    4,
  ],
  [
    'Sitting room',
    'west',
    [
      ['Floor', 'fl'],
      ['Upholstery', 'u'],
    ],
    3,
  ],
  [
    'Study',
    'north',
    [
      ['Floor', 'fl'],
      ['Trim', 'tr'],
    ],
    3,
  ],
  [
    'Bedroom',
    'east',
    [
      ['Rug', 'r'],
      ['Trim', 'tr'],
    ],
    2,
  ],
  ['Bath', 'north', [['Tile', 'ti']], 2],
] as const
const DECK_OF = 60
const MOST_ACTIONS = 180
const MOST_FOR_FINISHES = 90
const MOST_TO_FIRST_ROOM = 45
// The one of a field that Tab comes to.
const CELL = '[tabindex="0"]'
const KEEP = 'ControlOrMeta+Enter'

interface Hand {
  readonly press: (control: Locator) => Promise<void>
  /** Presses what a key stands for, where the hand is. */
  readonly key: (control: Locator, key: string) => Promise<void>
  readonly fill: (field: Locator, text: string) => Promise<void>
  readonly kind: (name: string, letters: string) => Promise<void>
  readonly actions: () => number
  readonly says: () => string
}

async function ownHouse(page: Page, app: App, hand: Hand): Promise<void> {
  const button = (name: string | RegExp, exact = false) => page.getByRole('button', { name, exact })
  const went: (readonly [string, number])[] = []
  let before = 0
  const done = (what: string): void => {
    went.push([what, hand.actions() - before])
    before = hand.actions()
  }
  const sum = (what: RegExp): number =>
    went.filter(([name]) => what.test(name)).reduce((total, [, count]) => total + count, 0)
  await page.clock.setFixedTime(NOON)

  await open(page, app.url)
  await hand.fill(page.getByLabel(NAMES.yourName), 'Mira Holl')
  await hand.key(button('Start'), KEEP)
  await expect(page.getByRole('link', { name: 'First visit' })).toBeVisible()
  await hand.press(page.getByRole('link', { name: 'Decks' }))
  await page.waitForURL(/\/decks/)
  done('first start')
  const lines = readFileSync(join(import.meta.dirname, '../demo/deck.csv'), 'utf8').split('\n')
  const sixty = lines
    .slice(1)
    .filter((_, i) => i % 20 === 0)
    .slice(0, DECK_OF)
  await hand.fill(page.getByLabel('Maker'), 'Oddney and Daughters')
  await hand.fill(page.getByLabel('Name of the deck'), 'Sixty')
  await page.getByLabel('Deck file').setInputFiles({
    name: 'sixty.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from([lines[0], ...sixty].join('\n')),
  })
  await hand.press(button('Import the deck'))
  await expect(page.getByRole('listitem').filter({ hasText: 'Sixty' }).first()).toBeVisible()
  done('deck of sixty')

  await open(page, `${app.url}/visits/new`)
  await hand.fill(page.getByLabel(NAMES.household), 'The Venn household')
  await hand.fill(page.getByLabel(NAMES.place, { exact: true }), 'Valpara')
  const town = page.getByRole('option', { name: /Valpara/ }).first()
  await expect(town).toBeVisible()
  await hand.key(town, 'Enter')
  const names = HOUSE.map(([room]) => room)
  await hand.fill(page.getByLabel(NAMES.nameOfARoomToAdd), names.join(', '))
  await hand.key(button('Add', true), 'Enter')
  await hand.key(button('Save the visit'), KEEP)
  await page.waitForURL(/\/light/)
  done('brief, five rooms by name')

  const step = async (name: string): Promise<void> => {
    await hand.press(
      page
        .getByRole('navigation', { name: NAMES.steps })
        .getByRole('link', { name: new RegExp(`^${name}`) }),
    )
  }
  const atHand = page.getByRole('navigation', { name: 'Rooms' }).locator('[aria-current=page]')
  for (const [room, wall, stays, colours] of HOUSE) {
    if (room !== HOUSE[0][0]) {
      await hand.press(
        page
          .getByRole('navigation', { name: 'Rooms' })
          .getByRole('link', { name: new RegExp(`^${room}`) }),
      )
      await expect(atHand).toContainText(room)
      await step('Light')
    }
    await expect(page.getByText('No window and no lamp yet')).toBeVisible()
    await hand.press(button(`Window in the ${wall} wall`))
    await expect(page.getByText(/^Window, faces/)).toBeVisible()
    await hand.press(button(/^Put in a lamp/))
    await expect(page.getByText(/lumens together/)).toBeVisible()
    done(`${room}: light`)
    await step('Keepers')
    await expect(page.getByRole('group', { name: NAMES.kind })).toBeVisible()
    for (const [i, [kind, letters]] of stays.entries()) {
      await hand.kind(kind, letters)
      const byEye = button('By eye', true)
      if ((await byEye.getAttribute('aria-pressed')) === 'false') await hand.press(byEye)
      const field = page.getByRole('group', { name: 'Match it by eye' })
      for (const asks of ['which comes nearest?', 'And of these?']) {
        await expect(page.getByText(asks)).toBeVisible()
        await hand.press(field.locator(CELL))
      }
      for (const nudge of ['darker', 'yellower'])
        await hand.press(field.getByRole('button', { name: nudge }))
      const isLast = i === stays.length - 1
      if (isLast) await hand.key(button('Save', true), KEEP)
      else await hand.press(button('Save, and another'))
      await expect(
        isLast ? button(NAMES.addWhatStays) : page.getByRole('group', { name: NAMES.kind }),
      ).toBeVisible()
    }
    done(`${room}: finishes`)
    await step('Shortlist')
    const list = page.getByRole('list', { name: 'Laid out' })
    await expect(list.getByRole('listitem').nth(colours)).toBeVisible()
    for (let i = 0; i < colours; i++) {
      const take = list.getByRole('listitem').nth(i).getByRole('button', { name: /^Take/ })
      await hand.press(take)
      await expect(take).toHaveAttribute('aria-pressed', 'true')
    }
    done(`${room}: colours`)
  }
  console.log(
    `to a first room ready to judge: ${sum(/^(first|deck|brief|Kitchen)/)}, of them ${sum(/^Kitchen/)} in the room`,
  )

  await hand.press(
    page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name: /^Kitchen/ }),
  )
  await expect(atHand).toContainText('Kitchen')
  await step('Bench')
  await expect(page.getByTestId('in-hand')).toHaveText('4 in, 0 out')
  await hand.key(page.getByRole('radio', { name: 'Chip' }), 'h')
  // Past each of the four finishes: two go at the first, what is left stays.
  for (let finish = 0; finish < 2; finish++) {
    await hand.key(button('Out N'), 'n')
  }
  await expect(page.getByTestId('in-hand')).toHaveText('2 in, 2 out')
  await hand.key(button(/↵/), 'Enter')
  const progress = page.getByTestId('progress')
  await expect(progress).toBeVisible()
  while ((await progress.textContent())!.includes('to go')) {
    const said = await progress.textContent()
    const place = await page.getByTestId('place').textContent()
    // A second tap within the time of a double click is the same tap to the bench: a hand that is so quick taps again.
    await expect(async () => {
      await hand.key(button('Works W'), 'w')
      await expect(progress).not.toHaveText(said!, { timeout: 600 })
    }).toPass()
    await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toContainText(NAMES.saved)
    // The next pair is at hand: what is pressed sooner is meant for the one before.
    if ((await progress.textContent())!.includes('to go'))
      await expect(page.getByTestId('place')).not.toHaveText(place!)
  }
  done('Kitchen: the bench')
  await step('Ruling')
  await expect(page.getByRole('form', { name: 'To rule' })).toBeVisible()
  await hand.key(button(/^Rule/), KEEP)
  await expect(page.getByText('Ruled.')).toBeVisible()
  done('Kitchen: the ruling')
  await step('Sheets')
  await expect(page.getByRole('link', { name: 'PDF, A4' })).toBeVisible()
  done('the sheets')

  for (const [what, count] of went) console.log(`  ${what}: ${count}`)
  console.log(
    `${hand.says()}; finishes ${sum(/finishes/)}, rooms ${sum(/light/)}, colours ${sum(/colours/)}`,
  )
  expect(hand.actions()).toBeLessThanOrEqual(MOST_ACTIONS)
  expect(sum(/finishes/)).toBeLessThanOrEqual(MOST_FOR_FINISHES)
  expect(sum(/^Kitchen: (light|finishes|colours)|^brief/)).toBeLessThanOrEqual(MOST_TO_FIRST_ROOM)
}

test.describe('a house of one’s own', () => {
  test.skip(!process.env.ELM_LONG, 'with ELM_LONG=1 only')

  test('by keyboard, counted', async ({ page, emptyApp: app }) => {
    test.setTimeout(300_000)
    let actions = 0
    let keys = 0
    tabsPressed()
    const key = async (pressed: string): Promise<void> => {
      keys += 1
      await page.keyboard.press(pressed)
    }
    await ownHouse(page, app, {
      press: async (control) => {
        actions += 1
        await tabTo(page, control)
        await key('Enter')
      },
      key: async (_, pressed) => {
        actions += 1
        await key(pressed)
      },
      fill: async (field, text) => {
        actions += 1
        await typeInto(page, field, text)
      },
      kind: async (_, letters) => {
        actions += 1
        keys += letters.length + 1
        await chooseKind(page, letters)
      },
      actions: () => actions,
      says: () =>
        `keyboard: ${actions} actions, ${keys} keys beside what was typed, ${tabsPressed()} tabs`,
    })
  })

  test.describe('with a finger', () => {
    test.use({ viewport: { width: 1180, height: 820 }, hasTouch: true })
    test('by touch, counted', async ({ page, emptyApp: app }) => {
      test.setTimeout(300_000)
      let taps = 0
      let fields = 0
      const tap = async (control: Locator): Promise<void> => {
        taps += 1
        await control.first().tap()
      }
      await ownHouse(page, app, {
        press: tap,
        key: tap,
        fill: async (field, text) => {
          fields += 1
          await field.fill(text)
        },
        kind: async (name) => {
          taps += 1
          await pickKind(page, name)
        },
        actions: () => taps + fields,
        says: () => `touch: ${taps + fields} actions, ${taps} taps and ${fields} fields`,
      })
    })
  })
})
