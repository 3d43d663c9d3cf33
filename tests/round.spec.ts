import { expect, type Page } from '@playwright/test'
import { seededRandom } from '../src/core/seeded-random'
import { demoRoom, demoVisit, faultsOf, open, overhang, test } from './app'
import { changesOf, rowsOfLooks } from './changes'
import { NAMES } from './names'

const progress = (page: Page) => page.getByTestId('progress')
const place = (page: Page) => page.getByTestId('place')
const outcome = (page: Page) => page.getByRole('status', { name: NAMES.whatCameOfIt })

// What a reading of the model is told by, to the eye and to a screen reader.
const MODELS_WORDS = /Model|chance|likely works|likely not|differs from yours/

/** Everything that the bench says of the pair at hand, without what stands of the look before it. */
async function saidOfPair(page: Page): Promise<string> {
  const tree = await page.getByRole('main').ariaSnapshot()
  const text = await page.getByRole('main').innerText()
  const last = page.getByRole('region', { name: NAMES.lastLook })
  if ((await last.count()) === 0) return tree + text
  const [lastTree, lastText] = [await last.ariaSnapshot(), await last.innerText()]
  const without = (all: string, part: string): string =>
    part
      .split('\n')
      .map((line) => line.trim())
      .reduce((left, line) => left.replace(line, ''), all)
  return without(tree, lastTree) + without(text, lastText)
}

const counted = async (page: Page): Promise<number> =>
  Number(/\d+/.exec((await progress(page).textContent())!)![0])

test('a round by keyboard: one key a pair, the eye before the model, gone on with after a reload and a kill, and on the record', async ({
  page,
  ownApp: app,
}) => {
  test.setTimeout(120_000)
  // On the day of the visit, by daylight, with boards.
  await page.clock.setFixedTime(new Date('2026-09-17T11:30:00Z'))
  const visit = demoVisit(app)
  const bedroom = demoRoom(visit, 'South bedroom')
  await open(page, `${bedroom}/bench?by=pair`)
  for (const held of ['Chip', 'Large swatch', 'Board']) {
    await page.keyboard.press('h')
    await expect(page.getByRole('radio', { name: held })).toBeChecked()
  }
  const before = await counted(page)
  let keys = 3
  let pairs = 0
  const started = Date.now()

  /** Rules on pairs until so many are asked, or the round is through: works, works, no. */
  async function rule(until: number): Promise<void> {
    while ((await progress(page).textContent())!.includes('to go') && pairs < until) {
      const looked = page.getByRole('region', { name: NAMES.yourLooks })
      if ((await looked.count()) === 0) expect(await saidOfPair(page)).not.toMatch(MODELS_WORDS)
      const asked = await counted(page)
      const key = pairs % 3 === 2 ? 'n' : 'w'
      await page.keyboard.press(key)
      keys += 1
      pairs += 1
      await expect.poll(() => counted(page)).toBe(asked + 1)
      if (key === 'n') {
        const where = await place(page).textContent()
        await page.keyboard.press('4')
        keys += 1
        // Why is said of the last look; the pair at hand stays.
        await expect(page.getByRole('region', { name: NAMES.lastLook })).toContainText(
          'no: too green',
        )
        expect(await place(page).textContent()).toBe(where)
      }
    }
    await expect(outcome(page)).toContainText(NAMES.saved)
  }

  await rule(1)
  for (const [width, height] of [
    [390, 844],
    [1024, 768],
    [1280, 800],
  ] as const) {
    await page.setViewportSize({ width, height })
    await expect.poll(() => overhang(page)).toBe(0)
    expect(await faultsOf(page)).toEqual([])
  }
  for (const [until, kills] of [
    [3, false],
    [6, true],
  ] as const) {
    await rule(until)
    expect(await counted(page)).toBe(before + until)
    const [where, whole] = [await place(page).textContent(), await progress(page).textContent()]
    if (kills) {
      await app.end('SIGKILL')
      await app.startAgain()
    }
    await page.reload()
    await page.locator('html[data-ready=yes]').waitFor()
    for (let n = 0; n < 3; n++) await page.keyboard.press('h')
    await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
    await expect(place(page)).toHaveText(where!)
    await expect(progress(page)).toHaveText(whole!)
  }
  await rule(Infinity)
  await expect(progress(page)).toHaveText(/^all \d+ asked$/)
  const came = page.getByRole('status', { name: 'What came of the round' })
  await expect(came).toHaveText(/^The round is through\. .*(Works|No): /)
  // Keys that go on come to nothing, until the one that rules again.
  for (const key of ['w', 'n', 'u']) await page.keyboard.press(key)
  await expect(outcome(page)).toHaveText('Ruled just now; + rules on it again.')
  const looked = async () => rowsOfLooks(await changesOf(page.request, visit)).length
  const whole = await looked()
  await page.keyboard.press('+')
  await page.keyboard.press('n')
  await expect(outcome(page)).toHaveText(NAMES.saved)
  expect(await looked()).toBe(whole + 1)
  console.log(
    `a round: ${pairs} pairs, ${keys} keys, ${((Date.now() - started) / 1000).toFixed(0)} s with its checks`,
  )
  expect(keys).toBeLessThanOrEqual(1.5 * pairs + 3)

  await open(page, `${visit}/grid`)
  await expect(page.getByRole('link', { name: / in South bedroom: no$/ })).not.toHaveCount(0)
  await open(page, `${bedroom}/sheet`)
  await expect(page.getByRole('main')).toContainText('on a board: no: too green')
})

test('the sweep: all past one finish side by side, out by key, tap and whole lean, one reason for the group, the model silent until it is done; after a reload and a kill each look is there once', async ({
  page,
  ownApp: app,
  request,
}) => {
  const visit = demoVisit(app)
  const front = demoRoom(visit, 'Front room')
  await open(page, `${front}/bench?by=pair`)
  const before = rowsOfLooks(await changesOf(request, visit)).length
  const looked = async () => rowsOfLooks(await changesOf(request, visit)).slice(before)
  await page.keyboard.press('f')
  const hand = page.getByRole('list', { name: /^In hand beside / })
  const swatches = hand.getByRole('button')
  const count = await swatches.count()
  expect(count).toBeGreaterThan(3)
  expect(await faultsOf(page)).toEqual([])
  const inHand = page.getByTestId('in-hand')
  const outAtFirst = await swatches.and(page.locator('[aria-pressed=true]')).count()
  await expect(inHand).toHaveText(`${count - outAtFirst} in, ${outAtFirst} out`)
  // In equal widths, each touching the next.
  const boxes = await swatches.evaluateAll((all) => all.map((each) => each.getBoundingClientRect()))
  boxes.slice(1).forEach(({ left, width }, i) => {
    expect(Math.abs(left - boxes[i]!.right)).toBeLessThan(0.6)
    expect(Math.abs(width - boxes[i]!.width)).toBeLessThan(0.6)
  })
  // Names sway: before a verdict there are codes.
  for (const label of await swatches.evaluateAll((all) => all.map((each) => each.ariaLabel)))
    expect(label).toMatch(/^[A-Z]\d{3}-\d at \d+ per cent: /)

  // What must sit with both stands between both; the best of them is no verdict.
  await page.keyboard.press('t')
  await page.keyboard.press('b')
  await expect(outcome(page)).toHaveText('Saved as the best of these.')
  expect(
    (await looked()).map(({ verdict, best_of }) => [verdict, (best_of as string[]).length]),
  ).toEqual([[null, count - outAtFirst]])

  // By key and by tap, and back in by another tap.
  const first = hand.getByRole('listitem').filter({ has: page.locator('[aria-pressed=false]') })
  await page.keyboard.press('n')
  await expect(inHand).toHaveText(`${count - outAtFirst - 1} in, ${outAtFirst + 1} out`)
  const tapped = (await first.first().getByRole('button').getAttribute('aria-label'))!.split(
    ':',
  )[0]!
  const one = swatches.and(page.locator(`[aria-label^="${tapped}"]`))
  await one.click()
  await expect(one).toHaveAttribute('aria-pressed', 'true')
  await one.click()
  await expect(one).toHaveAttribute('aria-pressed', 'false')
  await one.click()
  await expect(one).toHaveAttribute('aria-pressed', 'true')
  // One reason for both.
  await page.keyboard.press('4')
  await expect(outcome(page)).toHaveText(NAMES.saved)
  await expect
    .poll(async () => {
      const changes = await changesOf(request, visit)
      const said = changes.filter(({ kind }) => kind === 'say-why')
      return said.map(({ events }) => (events[0]!.after as { reasons: unknown }).reasons)
    })
    .toEqual(expect.arrayContaining([['too-green'], ['too-green']]))
  expect(await page.getByRole('main').innerText()).not.toMatch(MODELS_WORDS)

  await test.step('a whole lean goes at once, and comes back at once', async () => {
    const lean = page.getByRole('button', { name: /^Out: / })
    while ((await lean.count()) === 0) await page.keyboard.press('ArrowRight')
    const said = await inHand.textContent()
    const [, many] = /\((\d+)\)/.exec((await lean.textContent())!)!
    await page.keyboard.press('l')
    await expect(inHand).toHaveText(new RegExp(`, ${outAtFirst + 2 + Number(many)} out$`))
    while ((await page.getByRole('button', { name: /^Back: / }).count()) === 0)
      await page.keyboard.press('ArrowRight')
    await expect(outcome(page)).toHaveText(NAMES.saved)
    await page.keyboard.press('l')
    await expect(outcome(page)).toHaveText('Back in hand.')
    await expect(inHand).not.toHaveText(said!.replace(/\d+ out/, 'x'))
  })

  await test.step('a kill and a reload in the middle', async () => {
    const said = await inHand.textContent()
    await app.end('SIGKILL')
    await page.keyboard.press('n')
    await app.startAgain()
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
    await expect(outcome(page)).toHaveText(/^Saved\./, { timeout: 20_000 })
    const after = await inHand.textContent()
    expect(after).not.toBe(said)
    await open(page, `${front}/bench?by=pair`)
    await page.keyboard.press('f')
    await expect(inHand).toHaveText(after!)
    const rows = await looked()
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
  })

  await test.step('boards in hand are each of their candidate’s own strength, in the sweep and alone after it', async () => {
    for (let n = 0; n < 3; n++) await page.keyboard.press('h')
    await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
    const cut = swatches.and(page.locator('[aria-label*=" at 75 per cent"][aria-pressed=false]'))
    const code = (await cut.first().getAttribute('aria-label'))!
    await cut.first().click()
    await expect(outcome(page)).toHaveText(NAMES.saved)
    expect((await looked()).at(-1)).toMatchObject({ held: 'board', held_strength_percent: 75 })
    await swatches.and(page.locator(`[aria-label^="${code.split(':')[0]}"]`)).click()
    await expect(outcome(page)).toHaveText('Back in hand.')
    await page.keyboard.press('f')
    await page.keyboard.press('u')
    await expect(outcome(page)).toHaveText(NAMES.saved)
    const last = (await looked()).at(-1)!
    expect(last).toMatchObject({ held: 'board', verdict: 'unsure' })
    const strength = Number(
      / at (\d+) %/.exec(
        (await page.getByRole('region', { name: NAMES.lastLook }).textContent())!,
      )![1],
    )
    expect(last.held_strength_percent).toBe(strength)
    await page
      .getByRole('region', { name: NAMES.lastLook })
      .getByRole('button', { name: NAMES.undo })
      .click()
    await page.keyboard.press('f')
    for (let n = 0; n < 2; n++) await page.keyboard.press('h')
    await expect(page.getByRole('radio', { name: NAMES.theScreen })).toBeChecked()
  })

  await test.step('the rest stay: it is on record, and only then the model speaks', async () => {
    await page.keyboard.press('Enter')
    await expect(page.getByRole('main')).toContainText(/\d+ out, \d+ stays?\./)
    await expect(page.getByRole('main')).toContainText(/The model agrees on \d+ of \d+ out\./)
    await expect
      .poll(
        async () =>
          (await changesOf(request, visit)).filter(({ kind }) => kind === 'keep-sweep').length,
      )
      .toBeGreaterThan(0)
    await open(page, `${visit}/history`)
    await expect(page.getByText(/^Swept past .* in Front room: .* left in/)).toBeVisible()
  })
})

test('clumsy hands: a burst of keys, a thumb that comes down twice, a note that is not left, another device', async ({
  page,
  browser,
  ownApp: app,
}) => {
  const front = demoRoom(demoVisit(app), 'Front room')
  await open(page, `${front}/bench?by=pair`)
  const last = page.getByRole('region', { name: NAMES.lastLook })
  const bands = page.getByTestId('candidate-swatch').getByRole('img')

  await test.step('what another device keeps changes no pair under the hand', async () => {
    const [where, hex] = [await place(page).textContent(), await bands.getAttribute('data-hex')]
    const asked = await counted(page)
    const other = await (await browser.newContext()).newPage()
    await open(other, `${front}/bench?by=pair`)
    expect(await place(other).textContent()).toBe(where)
    await other.keyboard.press('n')
    await expect(outcome(other)).toContainText(NAMES.saved)
    await page.evaluate(() => window.dispatchEvent(new Event('focus')))
    await expect.poll(() => counted(page)).toBe(asked + 1)
    expect([await place(page).textContent(), await bands.getAttribute('data-hex')]).toEqual([
      where,
      hex,
    ])
    await other.close()
  })
  await test.step('a burst of keys rules on one pair each', async () => {
    // From a pair that nobody ruled on.
    while ((await page.getByRole('region', { name: NAMES.yourLooks }).count()) > 0)
      await page.keyboard.press('ArrowRight')
    const asked = await counted(page)
    for (let n = 0; n < 3; n++) await page.keyboard.press('w')
    await expect.poll(() => counted(page)).toBe(asked + 3)
    await expect(outcome(page)).toContainText(NAMES.saved)
  })
  await test.step('two taps in one place are one verdict', async () => {
    await open(page, `${demoRoom(demoVisit(app), 'South bedroom')}/bench?by=pair`)
    const asked = await counted(page)
    await page.getByRole('button', { name: /^works W/ }).dblclick()
    await expect(outcome(page)).toContainText(NAMES.saved)
    await expect.poll(() => counted(page)).toBe(asked + 1)
  })
  await test.step('a note that was not left when the next verdict came is kept, and so are the client’s words', async () => {
    const of = await last.textContent()
    await page.keyboard.press('/')
    const more = page.getByRole('dialog', { name: 'More of this look' })
    await more.getByRole('button', { name: 'no' }).click()
    await more.getByLabel('In the client’s words').fill('Like soup')
    await more.getByLabel(NAMES.note).fill('Mustard by noon')
    const paint = /works(.+?) at /.exec(of!)![1]!.trim()
    // Pressed as a thumb does on a tablet: the field keeps the focus.
    await page
      .getByRole('button', { name: /^unsure U/ })
      .evaluate((key: HTMLButtonElement) => key.click())
    await expect(last).toContainText('unsure')
    const visit = demoVisit(app)
    await expect
      .poll(async () => JSON.stringify(await changesOf(page.request, visit)))
      .toContain('Mustard by noon')
    await open(page, `${visit}/history`)
    const said = page.getByRole('listitem').filter({ hasText: '“Mustard by noon”' }).first()
    await expect(said).toContainText(`Said of “${paint} at `)
    await expect(said).toContainText('the client: no “Like soup”')
  })
})

test('by keyboard alone from the first key of a round in the kitchen to a ruling that grid and sheet show', async ({
  page,
  ownApp: app,
}) => {
  await page.clock.setFixedTime(new Date('2026-09-17T11:30:00Z'))
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  await open(page, `${kitchen}/bench?by=pair`)
  let keys = 0
  const press = async (...all: string[]): Promise<void> => {
    for (const key of all) await page.keyboard.press(key)
    keys += all.length
  }
  const started = Date.now()
  await press('h', 'h', 'h')
  await expect(page.getByRole('radio', { name: NAMES.board })).toBeChecked()
  // The stone is held up as its own photograph, relit.
  await expect(page.getByRole('img', { name: /^Oak floor|its own photograph/ })).not.toHaveCount(0)
  let pairs = 0
  while ((await progress(page).textContent())!.includes('to go')) {
    const asked = await counted(page)
    await press('w')
    pairs += 1
    await expect.poll(() => counted(page)).toBe(asked + 1)
  }
  await expect(page.getByRole('status', { name: 'What came of the round' })).toContainText(
    'The round is through.',
  )
  // To the ruling by its name; what stands first is the pick, and the form at hand is sent.
  await press('Control+k')
  // Typed at once: none of it is a verdict.
  await page.keyboard.type('ruling')
  await expect(page.getByRole('dialog').getByRole('combobox')).toHaveValue('ruling')
  await expect(page.getByRole('option', { name: /^Ruling/ })).toHaveAttribute(
    'aria-selected',
    'true',
  )
  await press('Enter')
  await page.waitForURL(/\/ruling/)
  const pick = page.getByRole('form', { name: 'To rule' })
  await expect(pick.getByRole('listitem').filter({ hasText: 'by day only' })).toBeVisible()
  expect(await faultsOf(page)).toEqual([])
  const called = (await pick.getByRole('heading', { level: 2 }).textContent())!
  await press('Control+Enter')
  await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toHaveText('Ruled.')
  await expect(page.getByRole('region', { name: 'The ruling' })).toContainText('Ines Tarrow')
  console.log(
    `a round to its ruling: ${pairs} pairs, ${keys + 'ruling'.length} keys, ${((Date.now() - started) / 1000).toFixed(0)} s with its checks`,
  )
  await open(page, `${visit}/grid`)
  const [name] = called.split(' at ')
  const row = page.getByRole('row').filter({ hasText: name! })
  await expect(row.getByText('the pick: walls')).toBeVisible()
  await open(page, `${kitchen}/sheet`)
  await expect(page.getByRole('region', { name: 'Ruled', exact: true })).toContainText(
    `walls: ${called}`,
  )

  await test.step('it is locked, in words, wherever one comes from; another browser that rules is told', async () => {
    await open(page, `${kitchen}/shortlist?part=proposed`)
    const proposed = page.getByRole('region', { name: NAMES.candidates })
    await proposed.getByText(`Change ${called}`).click()
    const stands = page.getByRole('group', { name: `How ${called} stands` })
    await stands.getByRole('button', { name: 'going to board' }).click()
    await expect(page.getByText(/It is ruled on: reopen the ruling first/)).toBeVisible()
  })
  await test.step('it is reopened with a reason, and the reason stays', async () => {
    await open(page, `${kitchen}/ruling`)
    await page.getByLabel('Reopen it, because').fill('The counter is changed after all.')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('form', { name: 'To rule' })).toBeVisible()
    await expect(page.getByText(/Reopened: The counter is changed after all/)).toBeVisible()
    await open(page, `${visit}/history`)
    await expect(page.getByRole('listitem').first()).toContainText(
      `Reopened in Kitchen, ${called}: The counter is changed after all.`,
    )
  })
})

test('kills at random moments: each look that was given is there once', async ({
  page,
  ownApp: app,
  request,
}) => {
  // A kill between commit and answer is in every run: tests/record.spec.ts.
  test.skip(!process.env.ELM_LONG, 'with ELM_LONG=1 only')
  test.setTimeout(240_000)
  const visit = demoVisit(app)
  await open(page, `${demoRoom(visit, 'Front room')}/bench?by=pair`)
  const before = rowsOfLooks(await changesOf(request, visit)).length
  const random = seededRandom(20)
  // One kill a look; what is sent again goes through.
  let isArmed = false
  let kills = 0
  await page.route('**/api/commands', async (route) => {
    if (!isArmed) return route.continue()
    isArmed = false
    kills += 1
    const [beforeIt, turns] = [random() < 0.25, Math.floor(400 * random())]
    // Before it came, at some moment while it is kept, or when nobody is there any more to hear of it.
    const sent = beforeIt ? null : route.fetch().catch(() => null)
    for (let n = 0; n < turns; n++) await new Promise(setImmediate)
    await app.end('SIGKILL')
    await sent
    await app.startAgain()
    await route.abort()
    await page.evaluate(() => window.dispatchEvent(new Event('online')))
  })
  for (let n = 0; n < KILLS; n++) {
    isArmed = true
    await page.keyboard.press(n % 2 ? 'n' : 'w')
    await expect(outcome(page)).toHaveText(/^Saved\./, { timeout: 20_000 })
  }
  await page.unroute('**/api/commands')
  expect(kills).toBe(KILLS)
  const ids = rowsOfLooks(await changesOf(request, visit)).map(({ id }) => id)
  expect(ids).toHaveLength(before + KILLS)
  expect(new Set(ids).size).toBe(ids.length)
})

// More where there is time: `ELM_KILLS=20 npx playwright test -g kills`.
const KILLS = Number(process.env.ELM_KILLS ?? 2)

test('what is shown to the client is the colours, the room and two answers; what they say stands apart', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  await open(page, `${demoRoom(visit, 'Landing study')}/bench?by=pair`)
  const where = await place(page).textContent()
  await page.keyboard.press('c')
  const turned = page.getByRole('dialog', { name: 'Shown to the client: Landing study' })
  await expect(turned).toBeVisible()
  expect((await turned.innerText()).split('\n').filter(Boolean)).toEqual([
    'Landing study',
    'Yes',
    'No',
  ])
  expect(await faultsOf(page)).toEqual([])
  // The consultant's keys say nothing while it is turned away.
  await page.keyboard.press('w')
  await turned.getByRole('button', { name: 'No' }).click()
  await expect(turned).toHaveCount(0)
  await expect(outcome(page)).toHaveText(NAMES.saved)
  expect(await place(page).textContent()).toBe(where)
  await expect(page.getByRole('region', { name: NAMES.yourLooks })).toContainText(
    'shown to the client',
  )
  expect(await saidOfPair(page)).not.toMatch(MODELS_WORDS)
  await open(page, `${visit}/grid`)
  await expect(page.getByText('the client says no').first()).toBeVisible()
})

test('after a no with a reason a paint to try next is fetched, stands on the list, and is here again', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  await open(
    page,
    `${demoRoom(visit, 'Kitchen')}/bench?by=pair&light=room&at=17:30&sky=clear&lamps=off`,
  )
  await page.keyboard.press('n')
  await page.keyboard.press('4')
  const next = page.getByRole('region', { name: 'What next' })
  const line = next.getByRole('listitem').filter({ hasText: 'less green' })
  const fetch = line.getByRole('button', { name: /^Fetch / })
  const called = (await fetch.getAttribute('aria-label'))!.replace('Fetch ', '')
  await fetch.click()
  await expect(next.getByRole('status')).toContainText('is on the fetch list')
  await expect(page.getByRole('link', { name: /^Samples/ })).toContainText('1 to fetch')
  // The address that the fetch list once had.
  await open(page, `${visit}/fetch`)
  await expect(page).toHaveURL(/\/boards$/)
  const [name] = called.split(' ')
  const item = page.getByRole('region', { name: 'To fetch' }).getByRole('listitem')
  await expect(item).toContainText(name!)
  await expect(item).toContainText(/Kitchen, walls: like .* at \d+ %, less green/)
  await item.getByRole('button', { name: /is here$/ }).click()
  await expect(item).toHaveCount(0)
})

test('what arrives is held against what stays, one key a pair, and stands on the sheet', async ({
  page,
  ownApp: app,
}) => {
  const bedroom = demoRoom(demoVisit(app), 'South bedroom')
  await page.clock.setFixedTime(new Date('2026-09-17T11:30:00Z'))
  await open(page, `${bedroom}/bench?by=pair`)
  await page.keyboard.press('a')
  await expect(page.getByRole('heading', { name: /what arrives/ })).toBeAttached()
  expect(await faultsOf(page)).toEqual([])
  await page.keyboard.press('h')
  await page.keyboard.press('n')
  await expect(progress(page)).toHaveText('1 of 3')
  await expect(page.getByRole('main')).not.toContainText('Model')
  await page.keyboard.press('w')
  await page.keyboard.press('u')
  await expect(progress(page)).toHaveText('3 of 3')
  await page.keyboard.press('a')
  await expect(place(page)).toBeVisible()
  await open(page, `${bedroom}/sheet`)
  const arrives = page.getByRole('region', { name: 'What arrives' })
  await expect(arrives.getByRole('listitem').first()).toContainText(
    'Button-back chair beside Painted chest: no, ',
  )
})

test('whether the model’s reading had been seen is kept with the look: elsewhere on the device, or first by the settings', async ({
  page,
  ownApp: app,
  request,
}) => {
  const visit = demoVisit(app)
  const bedroom = demoRoom(visit, 'South bedroom')
  const study = demoRoom(visit, 'Landing study')
  const lastSeen = async (): Promise<unknown> => {
    await expect(outcome(page)).toContainText(NAMES.saved)
    return rowsOfLooks(await changesOf(request, visit)).at(-1)!.model_seen_before
  }
  /** To a pair that nobody looked at. */
  const toFresh = async (room: string): Promise<void> => {
    await open(page, `${room}/bench?by=pair`)
    while ((await page.getByRole('region', { name: NAMES.yourLooks }).count()) > 0)
      await page.keyboard.press('ArrowRight')
  }
  await toFresh(bedroom)
  await page.keyboard.press('w')
  expect(await lastSeen()).toBe(false)
  // The grid tells what the model expects of what was not seen.
  await open(page, `${visit}/grid?guess=yes`)
  await expect(page.getByText(/^model: /).first()).toBeVisible()
  await toFresh(study)
  await page.keyboard.press('u')
  expect(await lastSeen()).toBe(true)
  await test.step('the model first, by the settings', async () => {
    await open(page, `${app.url}/settings`)
    await page.getByLabel('Who speaks first at the bench').selectOption('model')
    await page.getByRole('button', { name: NAMES.saveTheSettings }).click()
    await expect(page.getByText(NAMES.saved)).toBeVisible()
    await open(page, `${bedroom}/bench?by=pair`)
    await expect(page.getByRole('region', { name: NAMES.modelsReading })).toBeVisible()
    await page.keyboard.press('u')
    expect(await lastSeen()).toBe(true)
  })
  await test.step('parts of a room called otherwise, by the settings', async () => {
    await open(page, `${app.url}/settings`)
    await page.getByLabel('Parts of a room are called').selectOption('british')
    await page.getByRole('button', { name: NAMES.saveTheSettings }).click()
    await expect(page.getByText(NAMES.saved)).toBeVisible()
    await open(page, `${study}/around`)
    await expect(page.getByRole('region', { name: 'Woodwork' })).toBeVisible()
    await expect(page.getByRole('region', { name: NAMES.trim })).toHaveCount(0)
  })
  await open(page, `${visit}/history`)
  await expect(page.getByText(/^Your eye and the model: /)).toContainText(/\d+ of \d+ looks alike/)
})

test('a finish whose photo is gone is told so, and its colours stand for it', async ({
  page,
  consoleMay,
  app,
}) => {
  consoleMay.push(/404/)
  await page.route('**/api/photos/*', (route) => route.fulfill({ status: 404 }))
  await open(page, `${demoRoom(demoVisit(app), 'Kitchen')}/ruling`)
  await expect(page.getByText('Its photo is gone: these are its colours by share')).toBeVisible()
  await expect(
    page.getByRole('img', { name: 'Stone counter, its colours by share: ground 70 %, fleck 30 %' }),
  ).toBeVisible()
})
