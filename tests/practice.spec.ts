import { expect, type Page } from '@playwright/test'
import { questionAgain } from '../src/core/practice/ask'
import { inventedMaterial } from '../src/core/practice/material'
import { isRight, type Given, type Question, type Spec } from '../src/core/practice/question'
import { demoRoom, demoVisit, faultsOf, open, test } from './app'
import { changesOf } from './changes'
import { NAMES } from './names'

interface KeptAnswer {
  readonly spec: Spec
  readonly given: Given
  readonly isRight: boolean
  readonly tookMs: number
}

const choose = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('group', { name: 'Who practises now' }).getByText(name).click()
}

/** Answers what stands on the screen, by keys alone. */
async function answerByKeys(page: Page, n: number): Promise<void> {
  const asks = await page.locator('main section h2').textContent()
  if (await page.getByLabel('LRV').isVisible()) {
    await page.keyboard.type(String(30 + 2 * n))
    await page.keyboard.press('Enter')
  } else if (asks?.startsWith('From the')) {
    for (const key of n % 2 ? 'abcde' : 'edcba') await page.keyboard.press(key)
  } else await page.keyboard.press(String(1 + (n % 2)))
}

test('a round of twenty by keyboard alone: each answer is kept as the core judges it, and no visit is touched', async ({
  page,
  ownApp: app,
  request,
}) => {
  const visit = demoVisit(app)
  const before = (await changesOf(request, visit)).length
  await open(page, `${app.url}/practice`)
  await choose(page, 'Odo Fell')
  await page.getByLabel('Invented ones').check()
  const begin = page.getByRole('button', { name: 'A round of twenty' })
  await begin.focus()
  await page.keyboard.press('Enter')
  const times: number[] = []
  for (let n = 0; n < 20; n++) {
    await expect(page.getByText(`${n + 1} of 20`)).toBeVisible()
    await expect(page.locator('main section h2')).toBeVisible()
    const from = performance.now()
    await answerByKeys(page, n)
    // Keys that come down once more answer nothing.
    await page.keyboard.press('1')
    const next = page.getByRole('button', { name: n < 19 ? 'Next' : 'How it went' })
    await expect(next).toBeFocused()
    times.push(performance.now() - from)
    if (n === 0) expect(await faultsOf(page)).toEqual([])
    await page.keyboard.press('Enter')
  }
  console.log(
    `a key to its reading, twenty times: ${Math.round(times.toSorted((p, q) => p - q)[10]!)} ms at the median, ${Math.round(Math.max(...times))} ms the slowest`,
  )
  await expect(page.getByRole('button', { name: 'Odo Fell 40 answers' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'By kind of question' })).toBeVisible()
  await expect(page.getByRole('img', { name: /^After 40 answers/ })).toBeVisible()

  const learners = page.getByRole('group', { name: 'Who practises now' })
  await expect(learners.getByText('Ines Tarrow')).toBeVisible()
  const odo = await page.evaluate(() => localStorage.getItem('elm.learner'))
  const answers = (await (
    await request.get(`${app.url}/api/practice/${odo}`)
  ).json()) as KeptAnswer[]
  const latest = answers.slice(-20)
  expect(answers).toHaveLength(40)
  for (const { spec, given, isRight: right, tookMs } of latest) {
    const question: Question | null = questionAgain(inventedMaterial(0, 'american'), spec)
    expect(question, JSON.stringify(spec)).not.toBeNull()
    expect(right).toBe(isRight(question!.answer, given))
    expect(tookMs).toBeGreaterThan(0)
  }
  expect((await changesOf(request, visit)).length).toBe(before)
})

test('what the eye said is compared, learnt from when asked, named where it acts, and gone in one key', async ({
  page,
  ownApp: app,
  request,
}) => {
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  await open(page, `${app.url}/eye`)
  const whole = page.getByRole('region', { name: 'On the whole' })
  await expect(whole.getByText(/said the same \d+ of \d+ times/)).toBeVisible()
  await expect(page.getByText(/30 are needed/)).toBeVisible()

  // Looks as they were, again and again, by an eye that says no to more: enough to learn from.
  const looks = (await changesOf(request, visit)).filter(({ kind }) => kind === 'keep-look')
  const rows = looks.flatMap(({ events }) =>
    events.flatMap(({ subject, after }) => (subject === 'look' && after ? [after] : [])),
  )
  const candidates = new Map<unknown, unknown>()
  for (const { events } of await changesOf(request, visit))
    for (const { subject, after } of events)
      if (subject === 'candidate' && after) candidates.set(after.id, after)
  let n = 0
  for (let round = 0; round < 2; round++)
    for (const row of rows.filter((each) => each.keeper_id && each.verdict)) {
      const candidate = candidates.get(row.candidate_id) as Record<string, unknown>
      const id = `${(0x10000000 + ++n * 0x0357_1113).toString(16).slice(-8).padStart(8, '0')}-0000-4000-8000-000000000000`
      const answer = await request.post(`${app.url}/api/commands`, {
        headers: { origin: app.url },
        data: {
          ...{ id, kind: 'keep-look', actor: 'Ines Tarrow', device: 'test' },
          madeAt: new Date(Date.UTC(2026, 7, 1, 9, n)).toISOString(),
          payload: {
            ...{ visitId: visit.split('/').at(-1), lookId: id, roomId: row.room_id },
            candidate: {
              candidateId: row.candidate_id,
              deckColourId: candidate.deck_colour_id,
              strengthPercent: candidate.strength_percent,
              sheen: 'matt',
            },
            against: { kind: 'keeper', keeperId: row.keeper_id, part: null },
            seen: { as: 'screen' },
            light: {
              ...{ source: 'room', date: '2026-06-21', minute: 540 + 60 * round, sky: 'clear' },
              ...{ lampsOn: false, spot: 'walls', place: '', metered: null },
            },
            ...{ verdict: 'no', reasons: [], bestOf: [], lean: null, note: '', client: null },
            modelSeenBefore: false,
            model: {
              ...{ version: '13', judgement: 'works', chance: 0.9, sentence: '' },
              strengthPercent: null,
            },
          },
        },
      })
      expect(await answer.json()).toMatchObject({ ok: true })
    }
  expect(n).toBeGreaterThan(10)

  await open(page, `${app.url}/eye`)
  await page.getByRole('button', { name: /^See what \d+ looks teach/ }).click()
  const lesson = page.getByRole('region', { name: 'Learning' })
  await expect(lesson.getByText(/^Your eye lets \d+ % less pass/)).toBeVisible()
  await expect(lesson.getByText(/looks kept aside: without it .* with it/)).toBeVisible()
  // It was asked for, not taken up.
  const named = page.getByText('Pairs are judged with your own eye, version 1')
  await open(page, `${kitchen}/bench?by=pair`)
  await expect(page.getByRole('navigation', { name: NAMES.steps })).toBeVisible()
  await expect(named).toHaveCount(0)

  await open(page, `${app.url}/eye`)
  await page.getByRole('button', { name: /^See what \d+ looks teach/ }).click()
  await page.getByRole('button', { name: 'Judge with it' }).click()
  await expect(lesson.getByText(/^In force wherever a pair is judged/)).toBeVisible()
  await open(page, `${kitchen}/bench?by=pair`)
  await expect(named).toBeVisible()
  await open(page, `${visit}/sheets/client`)
  await expect(page.getByText('judged with the consultant’s own eye, version 1')).toBeVisible()

  await open(page, `${app.url}/eye`)
  await page.keyboard.press('o')
  await expect(lesson.getByText(/^Off: pairs are judged by the model’s own limits/)).toBeVisible()
  await open(page, `${kitchen}/bench?by=pair`)
  await expect(named).toHaveCount(0)
})

test('a screening by keys ends in plain words, is kept on the device alone and forgotten at a press', async ({
  page,
  app,
}) => {
  const sent: string[] = []
  page.on('request', (request) => {
    if (request.method() === 'POST') sent.push(request.url())
  })
  await open(page, `${app.url}/practice/screening`)
  await page.getByRole('button', { name: NAMES.start }).click()
  // Always the first course: a guess.
  const end = page.getByText(/were missed that most people tell/)
  for (let wall = 1; wall <= 36; wall++) {
    const asked = page.getByText(`Wall ${wall}:`)
    await expect(asked.or(end)).toBeVisible()
    if (await end.isVisible()) break
    await page.keyboard.press('1')
  }
  await expect(page.getByText(/^Let a second person look before you rule on/)).toBeVisible()
  await open(page, `${app.url}/practice`)
  await expect(page.getByText(/were missed that most people tell/)).toBeVisible()
  await open(page, `${app.url}/practice/screening`)
  await page.getByRole('button', { name: 'Forget it' }).click()
  await expect(end).toHaveCount(0)
  expect(sent).toEqual([])
})
