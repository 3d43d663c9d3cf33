import { expect, type Locator, type Page } from '@playwright/test'
import { chooseKind, open, overhang, tabsPressed, tabTo, test, typeInto, type App } from './app'
import { NAMES } from './names'
import { CARD_AT, photograph } from './photographs'

const MOST_TABS = 80
const KEEP = 'ControlOrMeta+Enter'
// Noon by the clock of the town that is chosen, on the day of the visit.
const NOON = new Date('2026-11-20T15:00:00Z')

/** What a visit is made with. */
interface Hand {
  readonly fill: (field: Locator, text: string) => Promise<void>
  readonly choose: (select: Locator, value: string, letters: string) => Promise<void>
  /** Says what stays by its picture. */
  readonly kind: (name: string, letters: string) => Promise<void>
  readonly press: (control: Locator) => Promise<void>
  /** Presses a control, or the key that stands for it where the hand is. */
  readonly key: (control: Locator, key: string) => Promise<void>
  readonly goTo: (step: string) => Promise<void>
  readonly tapPhoto: (photo: Locator, at: readonly [number, number]) => Promise<void>
  /** Goes to where a file is chosen. */
  readonly reach: (input: Locator) => Promise<void>
  readonly done: (what: string) => void
}

const FEET = `14' 6"`
const KEEPERS_BY_EYE = [
  ['Floor', 'flo'],
  ['Trim', 'tri'],
] as const
// The one of a field that Tab comes to.
const CELL = '[tabindex="0"]'
const CANDIDATES = ['H111-4', 'G001-3'] as const

/** From an empty store to a verdict in the grid and on the sheet. */
async function visitFromNothing(page: Page, app: App, hand: Hand): Promise<void> {
  const button = (name: string | RegExp, exact = false) => page.getByRole('button', { name, exact })
  const goTo = async (step: string, address: string): Promise<void> => {
    await hand.goTo(step)
    await page.waitForURL(new RegExp(`/${address}`))
  }
  await page.clock.setFixedTime(NOON)

  await test.step('the first start', async () => {
    await open(page, app.url)
    await hand.fill(page.getByLabel(NAMES.yourName), 'Mira Holl')
    await hand.choose(page.getByLabel('Lengths in'), 'feet', 'feet')
    await hand.key(button('Start'), KEEP)
    await hand.press(page.getByRole('link', { name: 'First visit' }))
    hand.done('first start')
  })

  await test.step('the brief: a town of the list, a date, three rooms', async () => {
    await hand.fill(page.getByLabel(NAMES.household), 'The Venn household')
    await hand.fill(page.getByLabel(NAMES.place, { exact: true }), 'Valpara')
    const town = page.getByRole('option', { name: /Valpara/ }).first()
    await expect(town).toBeVisible()
    await hand.key(town, 'Enter')
    await expect(page.getByText('Clock of America/Santiago.')).toBeVisible()
    await hand.fill(page.getByLabel(NAMES.dateOfTheVisit), '2026-11-20')
    for (const room of ['Kitchen', 'Hall', 'Back bedroom']) {
      await hand.fill(page.getByLabel(NAMES.nameOfARoomToAdd), room)
      await hand.key(page.getByRole('button', { name: 'Add', exact: true }), 'Enter')
    }
    await hand.key(button('Save the visit'), KEEP)
    await page.waitForURL(/\/light/)
    hand.done('brief')
  })

  await test.step('the kitchen: its size in feet, turned by 33°, a window', async () => {
    await hand.press(page.locator('summary', { hasText: 'Name, size and use' }))
    await hand.fill(page.getByLabel(NAMES.northToSouth), FEET)
    await hand.fill(page.getByLabel(NAMES.eastToWest), '12 ft')
    await hand.fill(page.getByLabel(NAMES.northWallFaces), '33')
    await hand.key(button('Save the room'), KEEP)
    await expect(page.getByText(/14′ 6″ north to south, 12′ east to west/)).toBeVisible()
    await hand.press(button('Window in the north wall'))
    await expect(page.getByText(/^Window, faces north-east, 33°/)).toBeVisible()
    hand.done('light')
  })

  await test.step('three that stay, the first by photo', async () => {
    await goTo('Keepers', 'keepers')
    hand.done('to the keepers')
    await hand.kind('Stone', 'sto')
    const file = page.getByLabel(NAMES.photoWithACard)
    await hand.reach(file)
    await file.setInputFiles({
      name: 'finishes.png',
      mimeType: 'image/png',
      buffer: await photograph('D65'),
    })
    await expect(page.getByText(/^Now tap the white of the card/)).toBeVisible()
    const photo = button(/^The photo;/)
    for (const at of CARD_AT) await hand.tapPhoto(photo, at)
    await expect(page.getByText(/Added/)).toBeVisible()
    expect(await overhang(page)).toBe(0)
    await hand.key(button('Save', true), KEEP)
    await expect(page.getByRole('heading', { name: 'stone' })).toBeVisible()
    hand.done('first keeper by photo')
    for (const [kind, letters] of KEEPERS_BY_EYE) {
      await hand.press(button('Add what stays'))
      await hand.kind(kind, letters)
      for (const asks of ['which comes nearest?', 'And of these?']) {
        await expect(page.getByText(asks)).toBeVisible()
        await hand.press(page.getByRole('group', { name: 'Match it by eye' }).locator(CELL))
      }
      await expect(page.getByTestId('meaning')).toContainText(/by eye in a field of .*±/)
      await hand.key(button('Save', true), KEEP)
      await expect(page.getByRole('heading', { name: kind })).toBeVisible()
    }
    hand.done('two more keepers')
  })

  await test.step('two candidates', async () => {
    await goTo('Shortlist', 'shortlist')
    for (const code of CANDIDATES) {
      await hand.key(page.getByLabel(NAMES.codeOrName), '/')
      await hand.fill(page.getByLabel(NAMES.codeOrName), code)
      await hand.key(button(new RegExp(`^${code} `)), 'Enter')
      await expect(page.getByRole('heading', { name: / at 100 %$/ })).toBeVisible()
      await hand.key(button('A rung weaker'), '-')
      await hand.key(button('Take up at 75 %', true), 'Enter')
      await expect(button('Taken up at 75 %', true)).toBeVisible()
    }
    hand.done('two candidates')
  })

  await test.step('a verdict, in the grid and on the sheet', async () => {
    await goTo('Bench', 'bench')
    await expect(page.getByRole('radio', { name: NAMES.board })).toBeVisible()
    for (const held of ['Chip', 'Large swatch', 'Board'])
      await hand.key(page.getByRole('radio', { name: held }), 'h')
    await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
    await hand.key(button('Works W'), 'w')
    await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toContainText(NAMES.saved)
    await goTo('House grid', 'grid')
    await expect(page.locator('[data-verdict=works]')).toHaveCount(1)
    await goTo('Sheets', 'sheets')
    await hand.press(page.getByRole('link', { name: 'Room records' }))
    await hand.press(
      page.getByRole('navigation', { name: 'Record of one room' }).getByRole('link').first(),
    )
    await expect(page.getByRole('main')).toContainText('on a board: works')
    hand.done('verdict')
  })
}

test('from an empty store to a verdict by keyboard alone: in feet, in a town of the list, on a turned house', async ({
  page,
  emptyApp: app,
}) => {
  // The same by touch, and a visit by keyboard, are in every run.
  test.skip(!process.env.ELM_LONG, 'with ELM_LONG=1 only')
  test.setTimeout(120_000)
  tabsPressed()
  let total = 0
  // Where the cross of the photo stands, as shares of its width and height.
  const cross: number[] = [0.5, 0.5]
  await visitFromNothing(page, app, {
    fill: (field, text) => typeInto(page, field, text),
    choose: async (select, _, letters) => {
      await tabTo(page, select)
      await page.keyboard.type(letters)
    },
    kind: (_, letters) => chooseKind(page, letters),
    press: async (control) => {
      await tabTo(page, control)
      await page.keyboard.press('Enter')
    },
    key: (_, key) => page.keyboard.press(key),
    reach: (input) => tabTo(page, input),
    goTo: async (step) => {
      await page.keyboard.press('ControlOrMeta+k')
      await expect(page.getByPlaceholder('A few letters')).toBeFocused()
      await page.keyboard.type(step)
      await page.keyboard.press('Enter')
    },
    tapPhoto: async (photo, at) => {
      await tabTo(page, photo)
      for (const [axis, [back, on]] of [
        ['ArrowLeft', 'ArrowRight'],
        ['ArrowUp', 'ArrowDown'],
      ].entries())
        for (const [key, step] of [
          ['Shift+', 0.1],
          ['', 0.02],
        ] as const) {
          const steps = Math.round((at[axis]! - cross[axis]!) / step)
          for (let i = 0; i < Math.abs(steps); i++)
            await page.keyboard.press(`${key}${steps < 0 ? back : on}`)
          cross[axis] = cross[axis]! + steps * step
        }
      await page.keyboard.press('Enter')
    },
    done: (what) => {
      const pressed = tabsPressed()
      total += pressed
      console.log(`tabs, ${what}: ${pressed}`)
    },
  })
  console.log(`tabs from an empty store to a first verdict: ${total}`)
  expect(total).toBeLessThanOrEqual(MOST_TABS)
})

test.describe('with a thumb, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('from an empty store to a verdict by touch alone', async ({ page, emptyApp: app }) => {
    test.setTimeout(120_000)
    let taps = 0
    let before = 0
    const tap = async (control: Locator): Promise<void> => {
      taps += 1
      await control.tap()
    }
    await visitFromNothing(page, app, {
      fill: async (field, text) => {
        await tap(field)
        await field.fill(text)
      },
      choose: async (select, value) => {
        await tap(select)
        await select.selectOption(value)
      },
      kind: (name) => tap(page.getByRole('button', { name, exact: true })),
      press: tap,
      key: tap,
      // The tap that opens the list of files; opening it is the browser's.
      reach: () => {
        taps += 1
        return Promise.resolve()
      },
      goTo: async (step) => {
        const chooser = page.getByLabel('Step', { exact: true })
        await tap(chooser)
        const option = chooser.locator('option', { hasText: new RegExp(`^${step}`) })
        await chooser.selectOption(await option.getAttribute('value'))
      },
      tapPhoto: async (photo, [x, y]) => {
        taps += 1
        const { width, height } = (await photo.boundingBox())!
        await photo.tap({ position: { x: width * x, y: height * y } })
      },
      done: (what) => {
        if (what === 'first keeper by photo') expect(taps - before).toBeLessThanOrEqual(6)
        console.log(`taps, ${what}: ${taps - before}`)
        before = taps
      },
    })
    console.log(`taps from an empty store to a first verdict: ${taps}`)
  })
})
