import { expect, type Page } from '@playwright/test'
import { demoVisit, open, demoRoom, test } from './app'
import { changesOf, rowsOfLooks } from './changes'
import { NAMES } from './names'

const lastLook = (page: Page) => page.getByRole('region', { name: NAMES.lastLook })
const looksList = (page: Page) => page.getByRole('region', { name: NAMES.yourLooks })
const outcome = (page: Page) => page.getByRole('status', { name: NAMES.whatCameOfIt })

test('a verdict given on 21 December under the lamps at the sink reads so on bench, grid, sheet and in the store', async ({
  page,
  ownApp: app,
  request,
}) => {
  // The tablet’s own clock: an evening before Christmas, 19:10 in the house.
  await page.clock.install({ time: new Date('2026-12-21T19:10:00Z') })
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  const before = (await changesOf(request, visit)).length
  await open(page, `${kitchen}/bench?by=pair&light=room&lamps=on`)
  const pair = await page.getByTestId('place').textContent()
  await page.getByRole('radio', { name: NAMES.board }).click()
  await page.getByLabel('Where in the room').fill('at the sink')
  const bar = page.getByRole('region', { name: NAMES.light })
  await expect(bar).toContainText('21 December 2026')
  await expect(bar).toContainText('19:10')
  await page
    .getByRole('group', { name: 'Your verdict' })
    .getByRole('button', { name: /^no/ })
    .click()
  // The server’s clock is months behind this tablet’s; the look is kept, and both are noted.
  await expect(outcome(page)).toContainText(NAMES.saved)
  await expect(outcome(page)).toContainText('both are noted')
  // The next pair is there; why is said of the last.
  await expect(page.getByTestId('place')).not.toHaveText(pair!)
  await page.keyboard.press('Shift+Digit1')
  await expect(lastLook(page)).toContainText(/no: muddied.+ beside /)
  await expect(outcome(page)).toContainText(NAMES.saved)
  while ((await page.getByTestId('place').textContent()) !== pair)
    await page.keyboard.press('ArrowLeft')
  const words = '21 December 2026, 19:10, clear, lamps on, at the sink'
  await expect(looksList(page)).toContainText(`no: muddied ${words}; on a board`)

  const [row, ...others] = rowsOfLooks((await changesOf(request, visit)).slice(before))
  expect(others).toEqual([])
  expect(row).toMatchObject({
    light_date: '2026-12-21',
    light_minute: 1150,
    light_source: 'room',
    lamps_on: true,
    light_place: 'at the sink',
    seen_as: 'sample',
    held: 'board',
    verdict: 'no',
    reasons: [],
    seen_by: 'Ines Tarrow',
    model_seen_before: false,
    model_version: expect.any(String),
  })

  // The light goes along in the address: the grid shows the candidate in the light of that day.
  const name = (await page
    .getByTestId('candidate-swatch')
    .getByRole('img')
    .getAttribute('aria-label'))!
  const candidate = name.split(' at ')[0]!
  await page
    .getByRole('navigation', { name: NAMES.steps })
    .getByRole('link', { name: /^House grid/ })
    .click()
  await expect(page.getByText('in the light of 21 December 2026', { exact: true })).toBeVisible()
  const cell = page.getByRole('link', { name: new RegExp(`^${candidate} at .* in Kitchen: no$`) })
  await expect(cell).toContainText(words.replace('21 December 2026, ', ''))
  await open(page, `${kitchen}/sheet`)
  await expect(page.getByRole('article', { name: new RegExp(`^${candidate} at`) })).toContainText(
    `${words}; on a board: no: muddied`,
  )
})

test('a look on the screen is marked so everywhere and closes no gap; one at another strength says so', async ({
  page,
  ownApp: app,
}) => {
  const study = demoRoom(demoVisit(app), 'Landing study')
  await open(page, `${study}/bench?by=pair`)
  const bench = page
    .getByRole('navigation', { name: NAMES.steps })
    .getByRole('link', { name: /^Bench/ })
  const before = await bench.textContent()
  const labelNow = (): Promise<string | null> =>
    page.getByTestId('candidate-swatch').getByRole('img').getAttribute('aria-label')
  // A pair that nobody looked at yet, of a candidate that is no full formula.
  while ((await looksList(page).isVisible()) || !/ at 75 per cent/.test((await labelNow())!))
    await page.keyboard.press('ArrowRight')
  const place = await page.getByTestId('place').textContent()
  const back = async (): Promise<void> => {
    while ((await page.getByTestId('place').textContent()) !== place)
      await page.getByRole('button', { name: 'Previous pair' }).click()
  }
  await page.keyboard.press('w')
  await expect(outcome(page)).toHaveText(NAMES.saved)
  await back()
  await expect(looksList(page)).toContainText('on the screen, in a computed light')
  // It has its name only now.
  const label = await labelNow()
  expect(await bench.textContent()).toBe(before)

  await page.getByRole('radio', { name: 'Chip' }).click()
  await expect(page.getByText('Not the 75 % of the candidate')).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.press('4')
  await expect(lastLook(page)).toContainText('no: too green')
  await back()
  await expect(looksList(page)).toContainText('on a chip at 100 %, not at 75 %')
  const counted = (text: string | null): number => Number(/(\d+) of/.exec(text ?? '')![1])
  expect(counted(await bench.textContent())).toBe(counted(before) + 1)
  // Dragged to another hour, it is the screen that one looks at.
  await page.keyboard.press('.')
  await expect(page.getByRole('radio', { name: NAMES.theScreen })).toBeChecked()
  await open(page, `${study}/sheet`)
  const entry = page.getByRole('article', { name: new RegExp(`^${label!.split(' at ')[0]} at`) })
  await expect(entry).toContainText('on a chip only, at another strength')
})

test('by day a sample is not seen under the lamps alone, after dark it is', async ({
  page,
  app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  for (const [time, isSeen] of [
    ['2026-12-21T11:00:00Z', false],
    ['2026-12-21T19:10:00Z', true],
  ] as const) {
    await page.clock.setFixedTime(new Date(time))
    await open(page, `${kitchen}/bench?by=pair`)
    for (let n = 0; n < 3; n++) await page.keyboard.press('h')
    await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
    await page.keyboard.press('p')
    await expect(page.getByRole('radio', { name: NAMES.lamps })).toBeChecked()
    await expect(page.getByRole('radio', { name: isSeen ? 'Board' : 'The screen' })).toBeChecked()
  }
})

test('the server is killed between commit and answer: the key pressed again is the same look', async ({
  page,
  ownApp: app,
  request,
}) => {
  const visit = demoVisit(app)
  await open(page, `${demoRoom(visit, 'Basement snug')}/bench?by=pair`)
  const before = rowsOfLooks(await changesOf(request, visit)).length
  await page.route(
    '**/api/commands',
    async (route) => {
      // Let through, kept, and then nobody is there to hear of it.
      await route.fetch()
      await app.end('SIGKILL')
      await route.abort()
    },
    { times: 1 },
  )
  await page.keyboard.press('n')
  await expect(outcome(page)).toContainText('The server is not answering')
  // What was said is shown at once as on its way, and more can be said of it meanwhile.
  await page.keyboard.press('2')
  await page.keyboard.press('/')
  await page.getByLabel(NAMES.note).fill('Peach by lamp.')
  await page.getByLabel(NAMES.note).press('Enter')
  await expect(lastLook(page)).toContainText('no: too orange')
  await expect(lastLook(page)).toContainText('“Peach by lamp.”; waiting to be saved')
  await app.startAgain()
  await expect(outcome(page)).toHaveText(/^Saved\./)
  await expect(lastLook(page)).not.toContainText('waiting')
  const changes = await changesOf(request, visit)
  expect(rowsOfLooks(changes)).toHaveLength(before + 1)
  await expect
    .poll(async () => (await changesOf(request, visit)).at(-1)!.events[0]!.after)
    .toMatchObject({ verdict: 'no', reasons: ['too-orange'], note: 'Peach by lamp.' })
})

test('a verdict is one request of less than 2 kB back, and no page is rendered for it', async ({
  page,
  ownApp: app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/bench?by=pair`)
  await page.waitForLoadState('networkidle')
  const requests: string[] = []
  let bytes = 0
  page.on('response', async (response) => {
    // What others did is asked for by the clock, not on account of a verdict.
    if (response.url().includes('/since/')) return
    requests.push(`${response.request().method()} ${new URL(response.url()).pathname}`)
    bytes += (await response.body().catch(() => Buffer.alloc(0))).length
  })
  await page.keyboard.press('w')
  await expect(outcome(page)).toHaveText(NAMES.saved)
  expect(requests).toEqual(['POST /api/commands'])
  expect(bytes).toBeLessThan(2000)
})

test('keys held down give one verdict', async ({ page, ownApp: app, request }) => {
  const visit = demoVisit(app)
  await open(page, `${demoRoom(visit, 'Basement snug')}/bench?by=pair`)
  const before = rowsOfLooks(await changesOf(request, visit)).length
  for (let n = 0; n < 30; n++) await page.keyboard.down('w')
  await page.keyboard.up('w')
  await expect(outcome(page)).toHaveText(NAMES.saved)
  expect(rowsOfLooks(await changesOf(request, visit))).toHaveLength(before + 1)
})

test('a look taken back by the key counts no more at once', async ({ page, ownApp: app }) => {
  await open(page, `${demoRoom(demoVisit(app), 'Kitchen')}/bench?by=pair`)
  const bench = page
    .getByRole('navigation', { name: NAMES.steps })
    .getByRole('link', { name: /^Bench/ })
  const before = await bench.textContent()
  // On a board, in the light that is here: the first pair was not looked at yet.
  for (let n = 0; n < 3; n++) await page.keyboard.press('h')
  await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
  await page.keyboard.press('w')
  await expect(outcome(page)).toContainText(NAMES.saved)
  await expect(bench).not.toHaveText(before!)
  await page.keyboard.press('z')
  await expect(page.getByRole('status', { name: 'Changes' })).toHaveText(/^Undone/)
  await expect(bench).toHaveText(before!)
})

test('one key takes the last change back on any page; the list takes back any that nothing stands on', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  await open(page, `${kitchen}/light`)
  await page.getByRole('button', { name: NAMES.addTheLamps }).click()
  const lamps = page.getByRole('region', { name: NAMES.lamps }).getByRole('listitem')
  await expect(lamps).toHaveCount(2)
  await page.keyboard.press('Escape')
  await page.locator('body').press('z')
  await expect(page.getByRole('status', { name: 'Changes' })).toHaveText(/^Undone: Lamp in Kitchen/)
  await expect(lamps).toHaveCount(1)

  await open(page, `${visit}/history`)
  await expect(page.getByRole('listitem').first()).toContainText('Undone: Lamp in Kitchen')
  await expect(page.getByRole('listitem').first()).toContainText('Ines Tarrow')
  // A finish that looks stand on stays, in words that name one of them.
  await page.getByRole('button', { name: 'Undo: Stone counter in Kitchen: stone, staying' }).click()
  await expect(outcome(page)).toContainText(
    /cannot be taken back while this stands: .* beside Stone counter/,
  )
  // A look, from the list.
  const verdict = page
    .getByRole('button', { name: /^Undo: .* beside Stone counter in Kitchen: no: too green/ })
    .first()
  const sentence = (await verdict.getAttribute('aria-label'))!.replace('Undo: ', '')
  await verdict.click()
  await expect(outcome(page)).toHaveText(`Undone: ${sentence}.`)
  await expect(
    page.getByRole('listitem').filter({ hasText: 'taken back' }).locator('.line-through').first(),
  ).toBeVisible()
})

test('a candidate is proposed for a room, ruled out there or for the house, and dropped with its looks kept', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  const snug = demoRoom(visit, 'Basement snug')
  const cell = (candidate: string) =>
    page.getByRole('link', { name: new RegExp(`^${candidate} at .* in Basement snug`) })
  await open(page, `${visit}/grid`)
  await expect(cell('Wimham')).toHaveAttribute('data-verdict', 'not proposed')
  await open(page, `${snug}/shortlist?part=proposed`)
  await page.getByRole('button', { name: 'Propose Wimham at 50 % here' }).click()
  const here = page.getByRole('region', { name: NAMES.candidates })
  await expect(here.getByRole('img', { name: 'Wimham at 50 per cent' })).toBeVisible()
  await here.getByRole('button', { name: 'Send Wimham at 50 % to a board' }).click()
  await expect(here.getByRole('listitem').filter({ hasText: 'Wimham' })).toContainText(
    'going to board',
  )
  await here.getByText('Change Wimham at 50 %').click()
  const line = here.getByRole('listitem').filter({ hasText: 'Wimham' })
  await line.getByLabel('Surface').selectOption('ceiling')
  await expect(line).toContainText('ceiling, matt')
  if (!(await line.getByLabel('Surface').isVisible()))
    await here.getByText('Change Wimham at 50 %').click()
  const wimham = here.getByRole('listitem').filter({ hasText: 'Wimham' })
  await wimham.getByLabel('Ruled out, because').fill('Cold as a cellar.')
  await wimham.getByRole('button', { name: 'Rule out here' }).click()
  await expect(page.getByRole('region', { name: 'Ruled out' })).toContainText('Cold as a cellar.')
  await open(page, `${visit}/grid`)
  await expect(cell('Wimham')).toHaveAttribute('data-verdict', 'ruled out')

  await open(page, `${snug}/shortlist?part=proposed`)
  await here.getByText('Change Gantdale at 100 %').click()
  await here.getByRole('button', { name: 'Drop Gantdale at 100 %' }).click()
  await expect(here.getByText('Gantdale')).toHaveCount(0)
  await open(page, `${visit}/grid`)
  await expect(page.getByRole('rowheader', { name: /Gantdale/ })).toHaveCount(0)
  // Its looks are on record, and it comes back with them.
  await page.locator('body').press('z')
  await expect(page.getByRole('status', { name: 'Changes' })).toHaveText(
    /^Undone: Gantdale at 100 % dropped/,
  )
  await expect(cell('Gantdale')).toHaveAttribute('data-verdict', 'works-stronger')
})

test('the light keeps its day: typed, it survives a reload and goes along; colours and minutes are that day’s', async ({
  page,
  app,
}) => {
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/light`)
  await page.getByLabel(NAMES.anotherDay).fill('2026-12-21')
  await page.getByRole('button', { name: NAMES.show }).click()
  const bar = page.getByRole('region', { name: NAMES.light })
  await expect(bar).toContainText('21 December 2026')
  await expect(page).toHaveURL(/day=2026-12-21/)
  const winter = await page.getByRole('region', { name: NAMES.theDayInWords }).textContent()
  await page.reload()
  await expect(bar).toContainText('21 December 2026')
  await expect(page.getByRole('region', { name: NAMES.theDayInWords })).toHaveText(winter!)
  await page
    .getByRole('navigation', { name: NAMES.steps })
    .getByRole('link', { name: /^Bench/ })
    .click()
  await expect(bar).toContainText('21 December 2026')
  await page
    .getByRole('navigation', { name: NAMES.steps })
    .getByRole('link', { name: /^Sheets/ })
    .click()
  await page.getByRole('link', { name: 'Room records' }).click()
  await page
    .getByRole('navigation', { name: 'Record of one room' })
    .getByRole('link', { name: 'Kitchen' })
    .first()
    .click()
  await expect(page.getByText('In the light of 21 December 2026')).toBeVisible()
})

test('two browsers at one visit: what one keeps the other shows when it is looked at again', async ({
  page,
  browser,
  ownApp: app,
}) => {
  const snug = demoRoom(demoVisit(app), 'Basement snug')
  await open(page, `${snug}/bench?by=pair`)
  const other = await (await browser.newContext()).newPage()
  await open(other, `${snug}/bench?by=pair`)
  const pair = await page.getByTestId('place').textContent()
  // Both rule the same pair; both verdicts stay.
  for (const [tab, key] of [
    [page, 'w'],
    [other, 'u'],
  ] as const) {
    await tab.keyboard.press(key)
    await expect(outcome(tab)).toHaveText(NAMES.saved)
  }
  while ((await page.getByTestId('place').textContent()) !== pair)
    await page.keyboard.press('ArrowLeft')
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
  await page.getByRole('button', { name: 'All 2 looks' }).click()
  const all = page.getByRole('dialog', { name: 'All that was said of this pair' })
  await expect(all.getByRole('listitem')).toHaveText([/^works/, /^unsure/])
})

test('a visit is taken out of the list and put back', async ({ page, ownApp: app }) => {
  await open(page, `${demoVisit(app, 'Mrs Quillan')}/brief`)
  await page.getByRole('button', { name: 'Remove the visit' }).click()
  await expect(page.getByText('The visit is out of the list')).toBeVisible()
  await expect(page.getByRole('link', { name: /Mrs Quillan/ })).toHaveCount(0)
  // Not only at once: for thirty days it stands under the list.
  await open(page, app.url)
  await page.getByText('Removed in the last 30 days (1)').click()
  await expect(page.getByText(/^Mrs Quillan, \d/)).toBeVisible()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByRole('link', { name: /Mrs Quillan/ })).toBeVisible()
})

test('changes come from the own page only, and rubbish is answered in words', async ({
  app,
  request,
}) => {
  const send = (data: string | object, origin: string = app.url) =>
    request.post(`${app.url}/api/commands`, {
      data: typeof data === 'string' ? Buffer.from(data) : data,
      headers: { origin, 'content-type': 'application/json' },
    })
  expect((await send({}, 'http://evil.example')).status()).toBe(403)
  for (const [data, words] of [
    ['{"id":', 'Expected a change as JSON.'],
    ['{}', 'id: '],
    ['"\\u0000"', 'NUL'],
    [`"${'x'.repeat(1_000_001)}"`, 'at most 1 MB'],
  ] as const) {
    const answer = await send(data)
    // What is no change at all is refused as a request, what is one that cannot be made in its answer.
    expect([200, 400, 413]).toContain(answer.status())
    const { ok, message } = (await answer.json()) as { ok: boolean; message: string }
    expect(ok).toBe(false)
    expect(message).toContain(words)
  }
  for (const address of ['visits/nothing/since/0', `visits/${crypto.randomUUID()}/since/x`])
    expect((await request.get(`${app.url}/api/${address}`)).status()).toBe(400)
})

test('two pages of one browser tell each other: what one gives the other shows', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  await open(page, `${visit}/history`)
  const told = page.getByRole('listitem').first()
  const before = await told.textContent()
  const bench = await page.context().newPage()
  await open(bench, `${demoRoom(visit, 'Basement snug')}/bench?by=pair`)
  await bench.keyboard.press('n')
  await expect(bench.getByRole('status', { name: NAMES.whatCameOfIt })).toHaveText(/^Saved\./)
  await expect(told).not.toHaveText(before!)
  await expect(told).toContainText('in Basement snug: no')
  // What is asked meanwhile is answered in numbers.
  const id = visit.split('/').at(-1)
  const answer = await page.request.get(`${app.url}/api/visits/${id}/since/0`)
  const { places, ...rest } = (await answer.json()) as { places: number[] }
  expect([places.every(Number.isInteger), places.length > 10, rest]).toEqual([true, true, {}])
})

test('a part of a page that cannot be had says so after a few tries, and the page goes on', async ({
  page,
  app,
  consoleMay,
}) => {
  consoleMay.push(/Failed to load|ERR_FAILED|ChunkLoadError|Loading chunk/)
  test.slow()
  const kitchen = demoRoom(demoVisit(app), 'Kitchen')
  await open(page, `${kitchen}/bench?by=pair`)
  await page.waitForLoadState('networkidle')
  // What comes later does not come.
  await page.route('**/_next/static/**', (route) => route.abort())
  await page.keyboard.press('c')
  await expect(page.getByText('A part of this page could not be loaded.')).toBeVisible({
    timeout: 40_000,
  })
  await expect(page.getByRole('button', { name: 'Load again' })).toBeVisible()
  await expect(page.getByTestId('place')).toBeVisible()
})
