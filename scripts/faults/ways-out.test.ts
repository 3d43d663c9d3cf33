import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { flipByte, forgetBoot } from './harm'
import { acknowledgedBy, check, start } from './run'

/** A store with a house in it, copies of it, and what is acknowledged to a hand that writes in one until it is killed. */
async function aStore() {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-ways-'))
  const copy = (from: string, name: string): string => {
    const to = join(scratch, name)
    rmSync(to, { recursive: true, force: true })
    cpSync(from, to, { recursive: true, preserveTimestamps: true })
    cpSync(join(scratch, 'base.house.json'), `${to}.house.json`)
    return to
  }
  const base = join(scratch, 'base')
  await start(['begin', base]).ended
  const written = async (dir: string, seed: number): Promise<string[]> => {
    const run = start(['write', dir, seed])
    await run.until('kept', 30)
    await run.kill()
    return acknowledgedBy(run)
  }
  return { scratch, copy, base, written }
}

test('a journal that is damaged after a power cut stops it, and each way out does what it says', async () => {
  const { scratch, copy, base, written } = await aStore()
  // The power went, and a byte in the middle of the journal is another.
  const first = copy(base, 'first')
  const looks = await written(first, 1)
  forgetBoot(first)
  flipByte(first, () => 0.6)
  const { refused } = await check(first)
  expect(refused).toMatch(/^DamagedDataError: The journal in .* is damaged after record \d+/)
  for (const way of ['npm run restore -- FILE', 'ELM_RECOVER=journal', 'ELM_RECOVER=directory'])
    expect(refused).toContain(way)
  const byJournal = await check(copy(first, 'by-journal'), { env: { ELM_RECOVER: 'journal' } })
  const kept = looks.filter((id) => byJournal.stands.has(id))
  expect(kept).toEqual(looks.slice(0, kept.length))
  expect(kept.length).toBeGreaterThan(0)
  expect(kept.length).toBeLessThan(looks.length)
  const byDirectory = await check(copy(first, 'by-directory'), {
    env: { ELM_RECOVER: 'directory' },
  })
  expect(looks.filter((id) => byDirectory.stands.has(id))).toEqual(looks)
  rmSync(scratch, { recursive: true, force: true })
}, 400_000)

// Of eight stores: `ELM_LONG=1 npm run unit -- ways-out`.
const whenLong = process.env.ELM_LONG ? test : test.skip
whenLong(
  'where journal and database tell of two histories it stops, and each way out does what it says',
  async () => {
    const { scratch, copy, base, written } = await aStore()
    // The database of another history under this journal.
    const [one, other] = [copy(base, 'one'), copy(base, 'other')]
    const ofOne = await written(one, 2)
    const ofOther = await written(other, 3)
    rmSync(join(one, 'postgres'), { recursive: true })
    cpSync(join(other, 'postgres'), join(one, 'postgres'), { recursive: true })
    expect((await check(one)).refused).toMatch(
      /tell of two histories: they differ from change \d+ on/,
    )
    for (const [way, own, foreign] of [
      ['journal', ofOne, ofOther],
      ['directory', ofOther, ofOne],
    ] as const) {
      const { stands } = await check(copy(one, way), { env: { ELM_RECOVER: way } })
      expect(own.filter((id) => stands.has(id))).toEqual(own)
      expect(foreign.filter((id) => stands.has(id))).toEqual([])
    }
    rmSync(scratch, { recursive: true, force: true })
  },
  400_000,
)
