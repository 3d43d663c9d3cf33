import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import { randomCommands } from '../src/commands/random-house.fixture'
import { seededRandom } from '../src/core/seeded-random'
import { harmed } from '../src/formats/harmed.fixture'
import { demoVisit, test } from './app'
import { contentsOf } from './backup-contents'

const CHANGES = Number(process.env.ELM_HOSTILE ?? 100)
const AT_ONCE = 4

test(`${CHANGES} hostile changes: each is answered, nothing is half stored, and other pages answer`, async ({
  ownApp: app,
  request,
}) => {
  test.setTimeout(120_000 + CHANGES * 100)
  const random = seededRandom(17)
  const found = await request.get(`${app.url}/api/deck-colours?q=H1`)
  const colourIds = ((await found.json()) as { id: string }[]).map(({ id }) => id)
  expect(colourIds.length).toBeGreaterThan(5)
  const bodies: Uint8Array[] = []
  while (bodies.length < CHANGES)
    for (const change of randomCommands(random, colourIds)) {
      const whole = Buffer.from(JSON.stringify(change))
      // Some as they are, so that there is something for the others to be at.
      bodies.push(random() < 0.2 ? whole : harmed(whole, random))
    }
  bodies.length = CHANGES

  const answered = new Map<number, number>()
  let isDone = false
  const send = async (): Promise<void> => {
    for (let body = bodies.pop(); body; body = bodies.pop()) {
      const { status } = await fetch(`${app.url}/api/commands`, {
        method: 'POST',
        headers: { origin: app.url },
        body: Buffer.from(body),
      })
      answered.set(status, (answered.get(status) ?? 0) + 1)
    }
  }
  const pages: number[] = []
  const look = async (): Promise<void> => {
    while (!isDone) {
      const from = performance.now()
      const page = await fetch(`${demoVisit(app)}/grid`)
      await page.text()
      expect(page.status).toBe(200)
      pages.push(performance.now() - from)
    }
  }
  // The first page of a new server takes as long as it takes, whoever else is there.
  await (await fetch(`${demoVisit(app)}/grid`)).text()
  const looking = look()
  await Promise.all(Array.from({ length: AT_ONCE }, send))
  isDone = true
  await looking
  pages.sort((p, q) => p - q)
  console.log(
    `${CHANGES} hostile changes answered ${JSON.stringify(Object.fromEntries(answered))}; meanwhile ${pages.length} pages: ` +
      `${Math.round(pages[Math.floor(pages.length / 2)]!)} ms at the median, ` +
      `${Math.round(pages[Math.floor(pages.length * 0.99)]!)} ms at the 99th percentile, ${Math.round(pages.at(-1)!)} ms the slowest`,
  )
  // Kept, refused in words, or no change at all; the server itself is never at a loss.
  expect([...answered.keys()].filter((status) => ![200, 400, 413].includes(status))).toEqual([])
  expect(answered.get(200)).toBeGreaterThan(CHANGES / 10)
  expect(answered.get(400)).toBeGreaterThan(CHANGES / 10)

  // What stands is what whole changes made: laid down anew from the journal alone it is the same.
  const contents = async (): Promise<string[]> =>
    contentsOf(await (await request.get(`${app.url}/api/backup`)).body())
  const now = await contents()
  await app.end('SIGKILL')
  rmSync(join(app.dataDir, 'postgres'), { recursive: true })
  await app.startAgain()
  expect(await contents()).toEqual(now)
})
