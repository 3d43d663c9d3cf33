import { expect, type Page } from '@playwright/test'
import { demoRoom, demoVisit, faultsOf, open, overhang, test } from './app'

const progress = (page: Page) => page.getByTestId('progress')
const place = (page: Page) => page.getByTestId('place')
const outcome = (page: Page) => page.getByRole('status', { name: 'What came of it' })

// What a reading of the model is told by, to the eye and to a screen reader.
const MODELS_WORDS = /Model|chance|works likely|no likely|differs from yours/

/** Everything that the bench says of the pair at hand, without what stands of the look before it. */
async function saidOfPair(page: Page): Promise<string> {
  const tree = await page.getByRole('main').ariaSnapshot()
  const text = await page.getByRole('main').innerText()
  const last = page.getByRole('region', { name: 'Last look' })
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
  await open(page, `${bedroom}/bench`)
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
    while ((await progress(page).textContent())!.includes('about') && pairs < until) {
      const looked = page.getByRole('region', { name: 'Your looks' })
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
        await expect(page.getByRole('region', { name: 'Last look' })).toContainText('no: too green')
        expect(await place(page).textContent()).toBe(where)
      }
    }
    await expect(outcome(page)).toContainText('Kept.')
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
    await expect(page.getByRole('radio', { name: 'Board' })).toBeChecked()
    await expect(place(page)).toHaveText(where!)
    await expect(progress(page)).toHaveText(whole!)
  }
  await rule(Infinity)
  await expect(progress(page)).toHaveText(/^all \d+ asked$/)
  await expect(outcome(page)).toContainText('That was the last pair of the round.')
  console.log(
    `a round: ${pairs} pairs, ${keys} keys, ${((Date.now() - started) / 1000).toFixed(0)} s with its checks`,
  )
  expect(keys).toBeLessThanOrEqual(1.5 * pairs + 3)

  await open(page, `${visit}/grid`)
  await expect(page.getByRole('link', { name: / in South bedroom: no$/ })).not.toHaveCount(0)
  await open(page, `${bedroom}/sheet`)
  await expect(page.getByRole('main')).toContainText('on a board: no: too green')
})

test('a fan past one finish is flicked through, between two finishes at once, and the best of it is kept', async ({
  page,
  ownApp: app,
}) => {
  const visit = demoVisit(app)
  await open(page, `${demoRoom(visit, 'Front room')}/bench`)
  await page.keyboard.press('f')
  const fan = page.getByRole('list', { name: 'The fan' })
  const bands = fan.getByRole('listitem')
  const count = await bands.count()
  expect(count).toBeGreaterThan(3)
  expect(await faultsOf(page)).toEqual([])
  const inHand = async (): Promise<number> =>
    bands.evaluateAll((all) => all.findIndex((each) => each.ariaCurrent === 'true'))
  // The one in hand stands wide, all touch, and the arrows go round.
  const first = await inHand()
  const widths = await bands.evaluateAll((all) => all.map((each) => each.getBoundingClientRect()))
  widths.forEach(({ width, left }, i) => {
    if (i > 0) expect(Math.abs(left - widths[i - 1]!.right)).toBeLessThan(0.6)
    expect(width > 3 * Math.min(...widths.map((each) => each.width))).toBe(i === first)
  })
  const places: number[] = []
  for (let n = 0; n < count; n++) {
    places.push(await inHand())
    await page.keyboard.press('ArrowRight')
    await expect.poll(inHand).not.toBe(places.at(-1))
  }
  expect(places).toEqual(Array.from({ length: count }, (_, i) => (first + i) % count))
  expect(await inHand()).toBe(first)
  // What must sit with both stands between both.
  await page.keyboard.press('t')
  const right = page.getByRole('main').locator('[aria-label="The fan"] + div').getByRole('img')
  await expect(right).not.toHaveCount(0)
  await page.keyboard.press('ArrowRight')
  const name = await page
    .getByTestId('candidate-swatch')
    .getByRole('img')
    .getAttribute('aria-label')
  await page.keyboard.press('b')
  await expect(page.getByRole('status', { name: 'What came of it' })).toHaveText('Kept.')
  await expect(page.getByRole('region', { name: 'Your looks' })).toContainText(`best of ${count}`)
  await open(page, `${visit}/history`)
  await expect(page.getByRole('listitem').first()).toContainText(
    new RegExp(`^${name!.split(' at ')[0]} at .* in Front room: best of ${count} `),
  )
})

test('clumsy hands: a burst of keys, a thumb that comes down twice, a note that is not left, another device', async ({
  page,
  browser,
  ownApp: app,
}) => {
  const front = demoRoom(demoVisit(app), 'Front room')
  await open(page, `${front}/bench`)
  const last = page.getByRole('region', { name: 'Last look' })
  const bands = page.getByTestId('candidate-swatch').getByRole('img')

  await test.step('what another device keeps changes no pair under the hand', async () => {
    const [where, name] = [await place(page).textContent(), await bands.getAttribute('aria-label')]
    const asked = await counted(page)
    const other = await (await browser.newContext()).newPage()
    await open(other, `${front}/bench`)
    expect(await place(other).textContent()).toBe(where)
    await other.keyboard.press('n')
    await expect(outcome(other)).toContainText('Kept.')
    await page.evaluate(() => window.dispatchEvent(new Event('focus')))
    await expect.poll(() => counted(page)).toBe(asked + 1)
    expect([await place(page).textContent(), await bands.getAttribute('aria-label')]).toEqual([
      where,
      name,
    ])
    await other.close()
  })
  await test.step('a burst of keys rules on one pair each', async () => {
    // From a pair that nobody ruled on.
    while ((await page.getByRole('region', { name: 'Your looks' }).count()) > 0)
      await page.keyboard.press('ArrowRight')
    const asked = await counted(page)
    for (let n = 0; n < 3; n++) await page.keyboard.press('w')
    await expect.poll(() => counted(page)).toBe(asked + 3)
    await expect(outcome(page)).toContainText('Kept.')
  })
  await test.step('two taps in one place are one verdict', async () => {
    await open(page, `${demoRoom(demoVisit(app), 'South bedroom')}/bench`)
    const asked = await counted(page)
    await page.getByRole('button', { name: /^works W/ }).dblclick()
    await expect(outcome(page)).toContainText('Kept.')
    await expect.poll(() => counted(page)).toBe(asked + 1)
  })
  await test.step('a note that was not left when the next verdict came is kept, and so are the client’s words', async () => {
    await page.keyboard.press('x')
    await last.getByLabel('In the client’s words').fill('Like soup')
    await last.getByLabel('Note').fill('Mustard by noon')
    const of = await last.textContent()
    const paint = /works(.+?) at /.exec(of!)![1]!.trim()
    // Pressed as a thumb does on a tablet: the field keeps the focus.
    await page
      .getByRole('button', { name: /^unsure U/ })
      .evaluate((key: HTMLButtonElement) => key.click())
    await expect(last).toContainText('unsure')
    const visit = demoVisit(app)
    const changes = `${app.url}/api/visits/${visit.split('/').at(-1)}/since/0`
    await expect
      .poll(async () =>
        (await (await page.request.get(changes)).text()).includes('Mustard by noon'),
      )
      .toBe(true)
    await open(page, `${visit}/history`)
    const said = page.getByRole('listitem').filter({ hasText: '“Mustard by noon”' }).first()
    await expect(said).toContainText(`Said of “${paint} at `)
    await expect(said).toContainText('the client: no “Like soup”')
  })
})

test('the best of a fan is no verdict: the model still waits', async ({ page, ownApp: app }) => {
  await open(page, `${demoRoom(demoVisit(app), 'Landing study')}/bench`)
  await page.keyboard.press('f')
  while ((await page.getByRole('region', { name: 'Your looks' }).count()) > 0)
    await page.keyboard.press('ArrowRight')
  await page.keyboard.press('b')
  await expect(page.getByRole('region', { name: 'Your looks' })).toContainText('best of')
  expect(await saidOfPair(page)).not.toMatch(MODELS_WORDS)
})
