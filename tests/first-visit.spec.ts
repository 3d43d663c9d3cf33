import { expect } from '@playwright/test'
import { prepareLight, screenColour } from '../src/core/colour/appearance'
import { lateSunMinute, lightOf, type RoomDay } from '../src/core/light/light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../src/core/light/room'
import { minuteAtClockTime, utcMsAt } from '../src/core/light/day-clock'
import { pairReading } from '../src/core/pairing/pair-reading'
import { roleOf } from '../src/core/pairing/role'
import { DEFAULT_HOUSE_RULES } from '../src/core/advice/house-rules'
import { lrvPercent } from '../src/core/paint/lrv'
import { reflectanceOfReading } from '../src/core/paint/reading'
import { atStrength, ladderOf } from '../src/core/paint/strength'
import { localDay } from '../src/time/local-day'
import { SHIPPED_DECK } from '../src/formats/shipped-deck'
import { chooseKind, open, pressKeyOn, tabTo, test, typeInto } from './app'
import { NAMES } from './names'

// The colour taken, as demo/deck.csv has it: a green-leaning tan in the white base.
const CODE = 'H111-4'
const TAN = reflectanceOfReading({ kind: 'lab', lab: [77.5, -1.68, 10.88] })
const WHITE_BASE = reflectanceOfReading({ kind: 'lab', lab: SHIPPED_DECK.whiteBase })
const STONE = reflectanceOfReading({ kind: 'lab', lab: [66, 9, 14] })

const ROOM_DAY: RoomDay = {
  place: { latitudeDeg: 52.4, longitudeDeg: -1.6 },
  day: localDay('2026-06-18', 'Europe/London'),
  room: {
    northSouthMm: 5000,
    eastWestMm: 3600,
    heightMm: 2500,
    windows: [{ ...PLAIN_WINDOW, bearingDeg: 270, widthMm: 1800, heightMm: 1300 }],
    lamps: [PLAIN_LAMP],
  },
}

test('from nothing to a verdict on the sheet, by keyboard, and again after the server was killed', async ({
  page,
  ownApp: app,
}) => {
  // A whole visit by keyboard, with a server killed and started again: long on a slow machine.
  test.slow()
  const button = (name: string | RegExp, exact = false) => page.getByRole('button', { name, exact })
  const spine = (name: RegExp) =>
    page.getByRole('navigation', { name: NAMES.steps }).getByRole('link', { name })

  const next = async (words: string): Promise<void> => {
    await expect(page.getByRole('link', { name: `Next: ${words}` })).toBeVisible()
    await page.keyboard.press('>')
  }
  const atLateSun = utcMsAt(ROOM_DAY.day, lateSunMinute(ROOM_DAY.place, ROOM_DAY.day))
  await page.clock.setFixedTime(atLateSun)
  await test.step('the brief', async () => {
    await open(page, app.url)
    await pressKeyOn(page, page.getByRole('link', { name: 'New visit' }))
    await typeInto(page, page.getByLabel(NAMES.household), 'The Larrow family')
    await typeInto(page, page.getByLabel(NAMES.dateOfTheVisit), '2026-06-18')
    await typeInto(page, page.getByLabel(NAMES.place, { exact: true }), 'Invented Mill')
    await pressKeyOn(page, page.getByText(NAMES.byCoordinates))
    await typeInto(page, page.getByLabel('Latitude'), '52.4')
    await typeInto(page, page.getByLabel('Longitude'), '-1.6')
    await typeInto(page, page.getByLabel(NAMES.nameOfARoomToAdd), 'Kitchen')
    await page.keyboard.press('Enter')
    await pressKeyOn(page, button('Save the visit'))
  })

  await test.step('the room, its west window and its lamps', async () => {
    await pressKeyOn(page, page.locator('summary', { hasText: 'Name, size and use' }))
    await typeInto(page, page.getByLabel(NAMES.northToSouth), '5')
    await typeInto(page, page.getByLabel(NAMES.eastToWest), '3.6 m')
    await pressKeyOn(page, button('Save the room'))
    await pressKeyOn(page, button('Window in the west wall'))
    await expect(page.getByLabel(NAMES.windowFaces)).toHaveValue('270')
    await typeInto(page, page.getByLabel(NAMES.width), '1.8')
    await typeInto(page, page.getByLabel('Height', { exact: true }), '1.3')
    await pressKeyOn(page, button('Save the window'))
    await expect(page.getByText('Window, faces west, 270°: 1.8 m wide, 1.3 m high')).toBeVisible()
    await pressKeyOn(page, button('Add the lamps'))
    await expect(page.getByText('2,700 K, 1,600 lumens together')).toBeVisible()
    await expect(page.getByRole('region', { name: NAMES.theDayInWords })).toContainText(
      /warmest at 2[01]:\d\d/,
    )
  })

  await test.step('the stone that stays', async () => {
    await next('enter what stays')
    await chooseKind(page, 'stone')
    await pressKeyOn(page, button(NAMES.numbers))
    for (const [axis, value] of [
      ['L*', '66'],
      ['a*', '9'],
      ['b*', '14'],
    ] as const)
      await typeInto(page, page.getByLabel(axis, { exact: true }), value)
    await typeInto(page, page.getByRole('textbox', { name: NAMES.whatStays }), 'Stone counter')
    await pressKeyOn(page, button('Save', true))
    await expect(page.getByRole('heading', { name: NAMES.stoneCounter })).toBeVisible()
  })

  const mixed = atStrength(TAN, WHITE_BASE, 75)
  await test.step('a colour at 75 %', async () => {
    await next('propose a colour')
    await typeInto(page, page.getByLabel(NAMES.codeOrName), CODE)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: / at 100 %$/ })).toBeFocused()
    await page.keyboard.press('s')
    await expect(button(/at 75 %, with 25 % less tint/)).toBeVisible()
    await page.keyboard.press('-')
    await expect(page.getByRole('heading', { name: / at 75 %$/ })).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(button('Taken up at 75 %').first()).toBeVisible()
  })

  let late = ''
  await test.step('held to the stone in the late sun', async () => {
    await next('look at 1 pair')
    await expect(page.getByTestId('lrv')).toHaveText(String(Math.round(lrvPercent(mixed))))
    const handle = page.getByRole('slider', { name: NAMES.timeOfDay })
    await tabTo(page, handle)
    const sunset = lateSunMinute(ROOM_DAY.place, ROOM_DAY.day)
    const now = async (): Promise<number> => Number(await handle.getAttribute('aria-valuenow'))
    while ((await now()) < sunset) await page.keyboard.press('ArrowRight')
    await expect(page).toHaveURL(/at=\d\d%3A\d\d/)
    late = new URL(page.url()).searchParams.get('at')!

    const minute = minuteAtClockTime(ROOM_DAY.day, late)!
    const light = lightOf(ROOM_DAY, {
      source: 'room',
      minute,
      sky: 'clear',
      lampsOn: false,
      spot: 'walls',
    })!
    const prepared = prepareLight(light.spectrum, light.illuminanceLux)
    const bar = page.getByRole('region', { name: NAMES.light })
    await expect(bar).toHaveAttribute('data-cct', String(Math.round(light.cctK)))
    await expect(bar).toHaveAttribute('data-lux', String(Math.round(light.illuminanceLux)))
    const swatch = page.getByTestId('candidate-swatch').getByRole('img')
    await expect(swatch).toHaveAttribute('data-hex', screenColour(prepared, mixed).hex)

    // A board is there, in this very light: the clock says so.
    await tabTo(page, page.getByRole('radio', { name: NAMES.theScreen }))
    for (const next of ['Chip', 'Large swatch', 'Board']) {
      await page.keyboard.press('ArrowRight')
      await expect(page.getByRole('radio', { name: next })).toBeFocused()
    }
    await page.keyboard.press('Space')
    await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
    await expect(bar).toHaveAttribute('data-cct', String(Math.round(light.cctK)))
    await expect(page.getByText(/^Model/)).toHaveCount(0)
    await page.keyboard.press('n')
    await page.keyboard.press('4')
    await expect(button(/^green/)).toHaveAttribute('aria-pressed', 'true')
    await page.keyboard.press('/')
    await expect(page.getByLabel(NAMES.note)).toBeFocused()
    await page.keyboard.type('Mustard beside the counter.')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toContainText(NAMES.saved)

    const expected = pairReading(
      prepared,
      { strengthPercent: 75, reflectance: mixed, source: 'maker' },
      {
        name: 'Stone counter',
        role: roleOf('stone', DEFAULT_HOUSE_RULES),
        varies: false,
        colours: [{ part: 'ground', sharePercent: 100, reflectance: STONE, source: 'reader' }],
      },
      ladderOf('white').map((strengthPercent) => ({
        strengthPercent,
        reflectance: atStrength(TAN, WHITE_BASE, strengthPercent),
        source: 'maker',
      })),
    )
    const model = page.getByRole('region', { name: NAMES.modelsReading })
    await expect(model).toHaveAttribute('data-judgement', expected.judgement)
    await expect(model).toContainText(expected.sentence)
    // An orange-pink stone rejects a green-leaning tan: common practice.
    await expect(model).toContainText(/likely works.*differs from yours/)
  })

  await test.step('after a kill nothing that was kept is gone', async () => {
    await app.end('SIGKILL')
    await app.startAgain()
    await open(page, page.url())
    await expect(page.getByRole('region', { name: NAMES.yourLooks })).toContainText('no: too green')
  })

  await test.step('in the house grid and on the sheet', async () => {
    await pressKeyOn(page, spine(/^House grid/))
    const cell = page.getByRole('link', { name: /at 75 per cent in Kitchen: no/ })
    await expect(cell).toHaveAttribute('data-verdict', 'no')
    await pressKeyOn(page, spine(/^Sheets/))
    await pressKeyOn(page, page.getByRole('link', { name: 'Room records' }))
    await pressKeyOn(
      page,
      page.getByRole('navigation', { name: 'Record of one room' }).getByRole('link').first(),
    )
    const ruledOut = page.getByRole('region', { name: 'Ruled out, and why' })
    await expect(ruledOut).toContainText(
      `Against Stone counter, 18 June 2026, ${late}, clear; on a board: no: too green`,
    )
    await expect(ruledOut).toContainText('Mustard beside the counter.')
    await expect(ruledOut).toContainText('75 % of the formula in the same white base')
    await expect(ruledOut).toContainText(String(Math.round(lrvPercent(mixed))))
  })
})

test('a new visit is of the day where the person is, at both ends of it', async ({
  browser,
  app,
}) => {
  for (const [timezoneId, instant, shown] of [
    ['America/Los_Angeles', '2026-12-02T03:30:00Z', '1 Dec 2026'],
    ['Pacific/Auckland', '2026-12-01T11:10:00Z', '2 Dec 2026'],
    ['Asia/Kolkata', '2026-12-31T18:40:00Z', '1 Jan 2027'],
  ] as const) {
    const context = await browser.newContext({ timezoneId, locale: 'en-GB' })
    const page = await context.newPage()
    await page.clock.setFixedTime(new Date(instant))
    await open(page, `${app.url}/visits/new`)
    await expect(page.getByLabel('Date')).toHaveValue(shown)
    await context.close()
  }
})
