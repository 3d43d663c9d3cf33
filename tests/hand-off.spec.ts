import { unzipSync } from 'fflate'
import ICAL from 'ical.js'
import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { type App, demoRoom, demoVisit, faultsOf, open, tabTo, test } from './app'
import { NAMES } from './names'
import { pdfLines } from './pdf-text'

type Row = Readonly<Record<string, unknown>>

/** The store's own rows of a visit, as its open file has them. */
async function storeOf(page: Page, visit: string) {
  const answer = await page.request.get(visit.replace('/visits/', '/api/visits/') + '/file')
  expect(answer.status()).toBe(200)
  const zip = unzipSync(await answer.body())
  const { tables, decks } = JSON.parse(Buffer.from(zip['visit.json']!).toString()) as {
    tables: Readonly<Record<string, Row[]>>
    decks: { deck: Row; colours: Row[] }[]
  }
  return { zip, tables, decks }
}

const press = (page: Page, key: string) => page.keyboard.press(key)

/** Goes to a step by its name, by keyboard. */
async function goTo(page: Page, name: string): Promise<void> {
  await press(page, 'Control+k')
  await page.getByRole('dialog').getByRole('combobox').fill(name)
  await expect(page.getByRole('option').first()).toContainText(name)
  await press(page, 'Enter')
}

/** A sheet downloaded by keyboard, as its lines. */
async function downloaded(page: Page, sheet: string, paper: string): Promise<string[][]> {
  const chooser = page
    .getByRole('navigation', { name: 'Sheets' })
    .getByRole('link', { name: sheet })
  await tabTo(page, chooser)
  await press(page, 'Enter')
  await expect(chooser).toHaveAttribute('aria-current', 'page')
  await tabTo(page, page.getByRole('link', { name: `PDF, ${paper}` }))
  const coming = page.waitForEvent('download')
  await press(page, 'Enter')
  return pdfLines(readFileSync(await (await coming).path()))
}

test('by keyboard from a ruling to three PDFs, whose text is that of the store line by line', async ({
  page,
  ownApp: app,
}) => {
  test.slow()
  const visit = demoVisit(app)
  await open(page, `${demoRoom(visit, 'Kitchen')}/ruling`)
  await press(page, 'Control+Enter')
  await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toHaveText('Ruled.')
  await goTo(page, 'Sheets')
  await page.waitForURL(/\/sheets\/client/)
  const client = await downloaded(page, 'For the client', 'A4')
  const painter = await downloaded(page, 'Painter’s schedule', 'Letter')
  const counter = await downloaded(page, 'Counter slip', 'A4')
  const { tables, decks } = await storeOf(page, visit)

  const standing = (rows: readonly Row[]) => rows.filter((row) => row.removed_at == null)
  const rulings = standing(tables.ruling!).filter((row) => row.reopened_at == null)
  expect(rulings.length).toBeGreaterThanOrEqual(4)
  const [household] = tables.visit!.map((row) => String(row.household))
  for (const pages of [client, painter, counter])
    for (const [at, lines] of pages.entries()) {
      expect(lines.at(-1)).toContain(household)
      expect(lines.at(-1)).toContain(`page ${at + 1} of ${pages.length}`)
    }
  for (const ruling of rulings) {
    const candidate = tables.candidate!.find(({ id }) => id === ruling.candidate_id)!
    const { deck, colours } = decks.find((each) =>
      each.colours.some(({ id }) => id === candidate.deck_colour_id),
    )!
    const colour = colours.find(({ id }) => id === candidate.deck_colour_id)!
    const room = tables.room!.find(({ id }) => id === ruling.room_id)!
    const surface = String(ruling.surface)
    const capital = surface.charAt(0).toUpperCase() + surface.slice(1)

    const forClient = client.flat()
    const entry = forClient.indexOf(`${capital}: ${String(colour.name)}`)
    expect(entry).toBeGreaterThan(forClient.indexOf(String(room.name)))
    const strength =
      candidate.strength_percent === 100
        ? 'at full strength'
        : `at ${String(candidate.strength_percent)} %, with ${100 - Number(candidate.strength_percent)} % less tint`
    expect(forClient.slice(entry + 1, entry + 3).join(' ')).toContain(
      `${String(colour.code)}, ${String(deck.maker)}, ${String(deck.name)}; ${strength}, in ${String(ruling.sheen)}`,
    )
    // One plain sentence on what it is, none with a figure of the model.
    const sentences = forClient.slice(entry + 2, entry + 12).join(' ')
    expect(sentences).toContain(`${String(colour.name)} is a`)
    expect(sentences).not.toMatch(/chance|LRV|model/)

    // A cell may run over two lines: the row is read from its surface to the next one.
    const forPainter = painter.flat()
    const from = forPainter.findIndex(
      (line, at) =>
        at > forPainter.indexOf(String(room.name)) &&
        line.startsWith(`${capital} ${String(colour.code)},`),
    )
    expect(from).toBeGreaterThan(0)
    const row = forPainter.slice(from, from + 2).join(' ')
    for (const said of [
      String(colour.name),
      `${String(candidate.strength_percent)} % of formula,`,
      String(ruling.sheen),
      'coats',
    ])
      expect(row).toContain(said)
    expect(forPainter.slice(from, from + 3).join(' ')).toContain(`${String(colour.base)} base`)

    const forCounter = counter.flat()
    const slip = forCounter.indexOf(`${String(colour.code)}, ${String(colour.name)}`)
    expect(slip).toBeGreaterThan(0)
    const lines = forCounter.slice(slip, slip + 8).join(' ')
    expect(lines).toContain(
      candidate.strength_percent === 100
        ? `Full formula, ${String(colour.base)} base.`
        : `Mix at ${String(candidate.strength_percent)} % of the formula, in the same ${String(colour.base)} base: ${100 - Number(candidate.strength_percent)} % less tint.`,
    )
    expect(lines).toContain('Bring a dried sample')
  }
  // The walls of the kitchen, from the rows alone: round the room, less its window.
  const kitchen = tables.room!.find(({ name }) => name === 'Kitchen')!
  const glass = tables
    .room_window!.filter(({ room_id: id }) => id === kitchen.id)
    .reduce((sum, row) => sum + Number(row.width_mm) * Number(row.height_mm), 0)
  const [northSouth, eastWest, height] = ['north_south_mm', 'east_west_mm', 'height_mm'].map(
    (name) => Number(kitchen[name]),
  ) as [number, number, number]
  const m2 = (2 * (northSouth + eastWest) * height - glass) / 1e6
  expect(painter.flat().join('\n')).toContain(`${m2.toFixed(1)} m²`)
  expect(painter.flat().join('\n')).toContain('Not to be touched, cover it:')
})

test('a board is made by keyboard, its looks are ticked off, and the calendar is by the clocks of the place across a change', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  await page.clock.setFixedTime(new Date('2026-10-20T12:00:00Z'))
  await open(page, `${kitchen}/boards`)
  await tabTo(page, page.getByText(/^Change the board of/))
  await press(page, 'Enter')
  const form = page.getByRole('form', { name: /^Board of/ })
  await form.getByLabel('Painted on').fill('2026-02-30')
  await press(page, 'Control+Enter')
  await expect(form.getByRole('alert')).toContainText('Expected a date that exists')
  // The clocks of the place go back in the night to 25 October 2026.
  await form.getByLabel('Painted on').fill('2026-10-23')
  await form.getByRole('button', { name: NAMES.save, exact: true }).click()
  await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toContainText('saved.')
  await page.getByText('How to paint it').click()
  await expect(page.getByRole('list', { name: /^Painting/ })).toContainText('24 October 2026')

  const list = page.getByRole('region', { name: 'Where and when to stand them' })
  const items = list
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Show that light' }) })
  await expect(items.first()).toContainText('October 2026')
  const shown = await items.evaluateAll((all) =>
    all.map((item) => [...item.querySelectorAll('p')].slice(0, 2).map((p) => p.textContent ?? '')),
  )
  expect(shown.length).toBeGreaterThan(2)
  const answer = await page.request.get(`${app.url}/api${new URL(visit).pathname}/boards`)
  const events = new ICAL.Component(ICAL.parse(await answer.text()) as never)
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event))
    .filter(({ summary }) => summary.startsWith('Kitchen'))
  expect(events).toHaveLength(shown.length)
  const atPlace = (utc: Date): string =>
    new Intl.DateTimeFormat('en-GB', {
      timeZone: 'Europe/London',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
    })
      .format(utc)
      .replace(' at ', ', ')
  // After dark the calendar says nine in the evening. One place may be stood at by day and after dark.
  const inCalendar = events
    .map(({ summary, startDate }) => `${summary.toLowerCase()} ${atPlace(startDate.toJSDate())}`)
    .sort()
  for (const [words, when] of shown) {
    const said = `${words!.toLowerCase()} ${when!.replace('after dark', '21:00')}`
    expect(inCalendar.filter((each) => each.endsWith(said))).toHaveLength(1)
  }

  await test.step('a press keeps a look at the board there, and what it closes is not asked again', async () => {
    const count = await items.count()
    // Before its hour nothing was seen.
    await items
      .first()
      .getByRole('button', { name: /: works$/ })
      .first()
      .click()
    await expect(list.getByRole('status', { name: 'What was saved' })).toContainText(
      'That light comes on',
    )
    await page.clock.setFixedTime(new Date('2026-11-02T12:00:00Z'))
    await items
      .first()
      .getByRole('button', { name: /: works$/ })
      .first()
      .click()
    await expect(list.getByRole('status', { name: 'What was saved' })).toHaveText(NAMES.saved)
    await page.reload()
    await expect.poll(() => items.count()).toBeLessThan(count)
    await list.getByLabel('The client looks').check()
    const left = await items.count()
    await items
      .first()
      .getByRole('button', { name: /: the client says fine$/ })
      .first()
      .click()
    await expect(list.getByRole('status', { name: 'What was saved' })).toHaveText(NAMES.saved)
    await page.reload()
    await expect.poll(() => items.count()).toBeLessThan(left)
    expect(await faultsOf(page)).toEqual([])
  })
})

test('a visit is written to a file, wiped, and read back: equal rows and photos; a second time it is refused, or what lacks is added', async ({
  page,
  ownApp: app,
  emptyApp: other,
  consoleMay,
}) => {
  test.slow()
  consoleMay.push(/409|422/)
  const visit = demoVisit(app)
  const answer = await page.request.get(`${app.url}/api${new URL(visit).pathname}/file`)
  const file = { name: 'visit.zip', mimeType: 'application/zip', buffer: await answer.body() }
  const before = await storeOf(page, visit)
  const photos = (zip: Readonly<Record<string, Uint8Array>>) =>
    Object.keys(zip).filter((name) => name.startsWith('photos/'))
  expect(photos(before.zip).length).toBeGreaterThan(0)

  // A store of somebody else's, with nothing in it.
  await open(page, other.url)
  await page.getByLabel(NAMES.yourName).fill('Orrin Tarrow')
  await page.getByLabel(/Add the deck/).uncheck()
  await page.getByRole('button', { name: NAMES.start }).click()
  await page.getByText(NAMES.noVisitYet).waitFor()
  const said = page.getByRole('status', { name: NAMES.theFile })
  const read = (given: typeof file) => page.getByLabel(NAMES.openAVisitFile).setInputFiles(given)
  await read({ ...file, buffer: Buffer.from('rubbish') })
  await expect(said).toContainText('cannot be unpacked')
  await read({ ...file, buffer: file.buffer.subarray(0, file.buffer.length - 400) })
  await expect(said).toContainText('cannot be unpacked')
  await read(file)
  await expect(said).toContainText('rows were read.')
  const there = visit.replace(app.url, other.url)
  const after = await storeOf(page, there)
  expect(after.tables).toEqual(before.tables)
  expect(photos(after.zip)).toEqual(photos(before.zip))
  for (const name of photos(before.zip))
    expect(Buffer.from(after.zip[name]!)).toEqual(Buffer.from(before.zip[name]!))

  await read(file)
  await expect(said).toContainText('is here already. Nothing was imported')
  await page.getByRole('button', { name: 'Add what this store lacks' }).click()
  await expect(said).toContainText('0 rows were added; 0 that differ stay as they are here.')
  expect((await storeOf(page, there)).tables).toEqual(before.tables)

  // One goes on there.
  await open(page, `${there.replace(/\/$/, '')}/grid`)
  await expect(page.getByRole('row').filter({ hasText: 'B033-4' }).first()).toBeVisible()
})

test('what would run in a spreadsheet stays text, full-width signs too', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const id = visit.split('/').at(-1)!
  const { tables } = await storeOf(page, visit)
  const look = tables.look!.find(({ retracted_at: at }) => at == null)!
  const candidate = tables.candidate!.find((row) => row.id === look.candidate_id)!
  for (const note of ['=cmd', '＝cmd', ' +1']) {
    const lookId = crypto.randomUUID()
    const sent = await page.request.post(`${app.url}/api/commands`, {
      headers: { origin: app.url },
      data: {
        ...{ id: crypto.randomUUID(), kind: 'keep-look', actor: 'Ines Tarrow', device: 'test' },
        madeAt: new Date().toISOString(),
        payload: {
          ...{ visitId: id, lookId, roomId: look.room_id, note },
          candidate: {
            candidateId: look.candidate_id,
            deckColourId: candidate.deck_colour_id,
            strengthPercent: candidate.strength_percent,
            sheen: 'matt',
          },
          against: { kind: 'wall', plane: 'north' },
          seen: { as: 'sample', held: 'board', strengthPercent: candidate.strength_percent },
          light: {
            ...{ source: 'room', date: '2026-09-17', minute: 700, sky: 'clear', lampsOn: false },
            ...{ spot: 'walls', place: '', metered: null },
          },
          ...{
            verdict: 'works',
            reasons: [],
            lean: null,
            client: null,
            modelSeenBefore: false,
            model: null,
          },
        },
      },
    })
    expect(await sent.json()).toMatchObject({ ok: true })
  }
  const csv = await (await page.request.get(`${app.url}/api/visits/${id}/record`)).text()
  for (const kept of ["'=cmd", "'＝cmd", "' +1"]) expect(csv).toContain(kept)
  expect(csv).not.toMatch(/(^|,)"?\s*[=+@＝＋＠]/m)
  const palette = await (await page.request.get(`${app.url}/api/visits/${id}/palette`)).text()
  expect(palette).toMatch(/^GIMP Palette\n/)
})

test('twelve rooms and forty candidates with long names become a PDF while other pages answer', async ({
  page,
  ownApp: app,
}) => {
  test.skip(!process.env.ELM_LONG, 'with ELM_LONG=1 only')
  test.slow()
  const { visit, names } = await bigHouse(page, app)
  let isDone = false
  const sheet = page.request
    .get(`${app.url}/api/visits/${visit}/sheets/record?paper=letter`, { maxRetries: 3 })
    .finally(() => (isDone = true))
  let answered = 0
  while (!isDone) {
    // A socket may be closed as it is used again: that is asked once more.
    const other = await page.request.get(`${app.url}/settings`, { maxRetries: 3 })
    if (!isDone && other.status() === 200) answered += 1
  }
  expect(answered).toBeGreaterThan(0)
  const pages = await pdfLines(await (await sheet).body())
  const text = pages.flat().join('\n').replace(/\s+/g, '')
  for (const name of names) expect(text).toContain(name.replace(/\s+/g, ''))
  expect(pages.length).toBeGreaterThan(20)
  for (const [at, lines] of pages.entries())
    expect(lines.at(-1)).toContain(`page ${at + 1} of ${pages.length}`)
  console.log(
    `a record of 12 rooms × 40 candidates: ${pages.length} pages; ${answered} pages answered meanwhile`,
  )
})

/** Makes changes as a page of the application would. */
const sending =
  (page: Page, app: App) =>
  async (kind: string, payload: Row): Promise<void> => {
    const answer = await page.request.post(`${app.url}/api/commands`, {
      headers: { origin: app.url },
      data: {
        ...{ id: crypto.randomUUID(), kind, payload, actor: 'Ines Tarrow', device: 'test' },
        madeAt: new Date().toISOString(),
      },
    })
    const said = (await answer.json()) as { ok: boolean; message?: string }
    expect(said, said.message).toMatchObject({ ok: true })
  }

/** A new visit, with the house rules and a deck of the demo's. */
async function newVisit(page: Page, app: App, where: Row) {
  const { tables, decks } = await storeOf(page, demoVisit(app))
  const visit = crypto.randomUUID()
  const send = sending(page, app)
  await send('keep-brief', {
    ...{
      visitId: visit,
      household: 'Łarrow-Ibbotrey '.repeat(4).trim(),
      wishes: '',
      willNotHave: '',
    },
    houseRules: Object.fromEntries(tables.visit_house_rule!.map((row) => [row.rule, row.school])),
    ...{ wants: [], contrast: 'open', climate: 'mixed', oldPaint: 'unknown' },
    ...{ fromMinute: 540, toMinute: 1080, visitDate: '2026-09-17' },
    ...where,
  })
  return { visit, send, colours: decks[0]!.colours }
}

/** Twelve rooms with names as long as they may be, forty candidates proposed for each. */
async function bigHouse(page: Page, app: App) {
  const { visit, send, colours } = await newVisit(page, app, ENGLAND)
  const names = Array.from(
    { length: 12 },
    (_, at) =>
      `${'Passagebetweenthemorningroomandtheconservatory'.slice(0, 40)} number ${at + 1}, upstairs left`,
  )
  const candidates = colours
    .slice(0, 40)
    .map(({ id }) => ({ id: crypto.randomUUID(), deckColourId: id }))
  for (const name of names) {
    const roomId = crypto.randomUUID()
    await send('keep-room', roomOf(visit, roomId, name))
    await Promise.all(
      candidates.map(({ id, deckColourId }) =>
        send('take-up', {
          ...{ visitId: visit, roomId, deckColourId, strengthPercent: 75, candidateId: id },
          ...{ proposalId: crypto.randomUUID(), surface: 'walls', sheen: 'matt' },
        }),
      ),
    )
  }
  return { visit, names }
}

const ENGLAND = {
  ...{ placeName: 'Tarlow Cross', latitudeDeg: 52.4, longitudeDeg: -1.6 },
  timeZone: 'Europe/London',
}

const roomOf = (visitId: string, roomId: string, name: string): Row => ({
  ...{ visitId, roomId, name, northSouthMm: 4000, eastWestMm: 3500, heightMm: 3100 },
  ...{ useHours: 'daytime', treatment: 'plain', seenFrom: [] },
})

test('south of the equator, over the start of summer time, the calendar of a board is by the clocks of the place', async ({
  page,
  ownApp: app,
}) => {
  const timeZone = 'Australia/Hobart'
  const { visit, send, colours } = await newVisit(page, app, {
    ...{ placeName: 'Sorrell Point', latitudeDeg: -42.9, longitudeDeg: 147.3, timeZone },
  })
  const [roomId, candidateId, proposalId] = [0, 1, 2].map(() => crypto.randomUUID()) as [
    string,
    string,
    string,
  ]
  await send('keep-room', roomOf(visit, roomId, 'Parlour'))
  await send('keep-window', {
    ...{ visitId: visit, roomId, windowId: crypto.randomUUID(), bearingDeg: 0, widthMm: 1800 },
    ...{ heightMm: 1300, sillMm: 900, pitchDeg: 90, glazing: 'double', curtain: 'none' },
    ...{ overhangMm: 0, opposite: 'sky', oppositeDeg: 0, ground: 'paving', alongPercent: null },
  })
  const proposed = {
    ...{ visitId: visit, roomId, candidateId, proposalId, surface: 'walls', sheen: 'matt' },
  }
  await send('take-up', { ...proposed, deckColourId: colours[9]!.id, strengthPercent: 100 })
  await send('propose', {
    ...proposed,
    ...{ status: 'going to board', reason: '', withdrawn: false, replaces: null },
  })
  // Clocks go forward there in the night to 4 October 2026.
  await send('keep-board', {
    ...{ visitId: visit, boardId: crypto.randomUUID(), candidateId, roomId: null, sheen: 'matt' },
    ...{ widthMm: 600, heightMm: 600, borderMm: 25, count: 1 },
    begun: { date: '2026-10-03', clockMinute: 480 },
  })
  const answer = await page.request.get(`${app.url}/api/visits/${visit}/boards`)
  const text = await answer.text()
  expect(text).toContain(`X-WR-TIMEZONE:${timeZone}`)
  const events = new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event))
  await open(page, `${app.url}/visits/${visit}/rooms/${roomId}/boards`)
  const shown = await page
    .getByRole('region', { name: 'Where and when to stand them' })
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Show that light' }) })
    .evaluateAll((all) => all.map((item) => item.querySelectorAll('p')[1]!.textContent ?? ''))
  expect(events.length).toBe(shown.length)
  const atPlace = events.map(({ startDate }) =>
    new Intl.DateTimeFormat('en-GB', {
      ...{ timeZone, day: 'numeric', month: 'long', year: 'numeric' },
      ...{ hour: '2-digit', minute: '2-digit' },
    })
      .format(startDate.toJSDate())
      .replace(' at ', ', '),
  )
  expect(atPlace.toSorted()).toEqual(shown.toSorted())
  expect(shown.every((when) => /October 2026/.test(when))).toBe(true)
})
