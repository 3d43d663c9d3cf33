import { expect } from '@playwright/test'
import type { KeeperKind } from '../src/core/pairing/keeper-kind'
import { demoRoom, demoVisit, open, test } from './app'
import { changesOf, rowsOfLooks } from './changes'
import { freshId, make } from './make'
import { NAMES } from './names'

// Forty candidates past six finishes in the demo's largest room, by keyboard, from the first sweep to a ruling. With ELM_LONG=1 only.

const STAYS: readonly (readonly [KeeperKind, string, readonly [number, number, number]])[] = [
  ['floor', 'Pine boards', [64, 12, 34]],
  ['counter', 'Grey worktop', [55, 0, 2]],
  ['tile', 'Cream metro', [91, 0, 10]],
  ['cabinets', 'Sage cupboards', [66, -7, 8]],
]
const CANDIDATES = 40
// A hand that knows its keys: common practice has about three a second, and a look takes a second and a half.
const KEY_S = 0.3
const LOOK_S = 1.5

test('forty candidates swept past six finishes, paired and ruled on by keyboard, once each through a reload and a kill', async ({
  page,
  ownApp: app,
  request,
}) => {
  test.skip(!process.env.ELM_LONG, 'with ELM_LONG=1 only')
  test.setTimeout(600_000)
  await page.clock.setFixedTime(new Date('2026-09-17T11:30:00Z'))
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  const [visitId, roomId] = [visit.split('/').at(-1)!, kitchen.split('/').at(-1)!]
  await open(page, `${kitchen}/keepers`)
  for (const [kind, name, lab] of STAYS)
    await make(page, 'keep-keeper', {
      ...{ visitId, roomId, keeperId: freshId(), roomIds: [], name, kind, state: 'staying' },
      ...{ place: '', note: '', varies: false, replacedBy: '', viewShare: 'some', texture: null },
      ...{ walls: [], dearness: null, photoHash: null, patchHash: null },
      colours: [
        {
          ...{ part: 'ground', sharePercent: 100, source: null, evidence: null },
          reading: { kind: 'lab', lab: [...lab] },
        },
      ],
    })
  const found: string[] = []
  for (let strip = 100; found.length < CANDIDATES && strip < 190; strip += 2) {
    const answer = await request.get(`${app.url}/api/deck-colours?q=H${strip}-`)
    found.push(...((await answer.json()) as { id: string }[]).slice(0, 2).map(({ id }) => id))
  }
  for (const deckColourId of found.slice(0, CANDIDATES))
    await make(page, 'take-up', {
      ...{ visitId, roomId, deckColourId, candidateId: freshId(), proposalId: freshId() },
      ...{ strengthPercent: 100, surface: 'walls', sheen: 'matt', status: 'proposed', reason: '' },
    })
  const before = rowsOfLooks(await changesOf(request, visit)).length

  let keys = 0
  let looks = 0
  const press = async (key: string): Promise<void> => {
    keys += 1
    await page.keyboard.press(key)
  }
  const inHand = page.getByTestId('in-hand')
  const hold = async (): Promise<void> => {
    await press('h')
    await expect(page.getByRole('radio', { name: 'Chip' })).toBeChecked()
  }
  await open(page, `${kitchen}/bench`)
  await hold()
  const hand = page.getByRole('list', { name: /^In hand beside / })
  const works = page.getByRole('button', { name: 'Works W' })
  const begun = Date.now()
  let swept = 0
  while ((await hand.count()) > 0) {
    const past = await hand.getAttribute('aria-label')
    const swatches = hand.getByRole('button')
    // One in three goes, spread over light and dark.
    const isOut = await swatches.evaluateAll((all) =>
      all.map((each) => each.getAttribute('aria-pressed') === 'true'),
    )
    for (const [i, was] of isOut.entries()) {
      if (was) continue
      looks += 1
      if ((i + swept) % 3 === 0) {
        const said = await inHand.textContent()
        await press('n')
        await expect(inHand).not.toHaveText(said!)
      } else await press('ArrowRight')
    }
    await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toContainText(/Saved|^$/)
    swept += 1
    if (swept === 2 || swept === 3) {
      if (swept === 3) {
        await app.end('SIGKILL')
        await app.startAgain()
      }
      const said = await inHand.textContent()
      await page.reload()
      await page.locator('html[data-ready=yes]').waitFor()
      await hold()
      await expect(hand).toHaveAttribute('aria-label', past!)
      await expect(inHand).toHaveText(said!)
    }
    await press('Enter')
    await expect
      .poll(
        async () => (await works.isVisible()) || (await hand.getAttribute('aria-label')) !== past,
      )
      .toBe(true)
    if (await works.isVisible()) break
  }
  const sweepLooks = looks
  const progress = page.getByTestId('progress')
  while ((await progress.textContent())!.includes('to go')) {
    const said = await progress.textContent()
    looks += 1
    await press('w')
    await expect(progress).not.toHaveText(said!)
  }
  await press('Control+k')
  await page.keyboard.type('ruling')
  await expect(page.getByRole('option', { name: /^Ruling/ })).toHaveAttribute(
    'aria-selected',
    'true',
  )
  await press('Enter')
  await page.waitForURL(/\/ruling/)
  await expect(page.getByRole('form', { name: 'To rule' })).toBeVisible()
  await press('Control+Enter')
  await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toHaveText('Ruled.')

  const rows = rowsOfLooks(await changesOf(request, visit)).slice(before)
  expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length)
  const pairs = rows.map(
    (row) => `${String(row.candidate_id)} ${String(row.keeper_id ?? row.against_keeper_id)}`,
  )
  expect(new Set(pairs).size).toBe(pairs.length)
  const minutes = (keys * KEY_S + looks * LOOK_S) / 60
  console.log(
    `forty past six: ${swept} finishes swept, ${sweepLooks} looked at in sweeps and ${looks - sweepLooks} as pairs, ${keys} keys, ` +
      `${minutes.toFixed(1)} minutes of a hand (${((Date.now() - begun) / 60_000).toFixed(1)} of the script)`,
  )
})
