/**
 * `npm run faults`: kills, power cuts, damaged journals, full and read-only disks, servers on one directory; what was
 * acknowledged has to be there once, whatever came. `npm run faults -- 10` makes a tenth of the trials, `-- 10 disks` of one kind only; `npm test` makes a
 * short run.
 */
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seededRandom } from '../src/core/seeded-random'
import {
  beginToWrite,
  endLogs,
  flipByte,
  forgetBoot,
  mixTrees,
  tearOff,
  withSmallDisk,
} from './faults/harm'
import { acknowledgedBy, check, start, type Checked } from './faults/run'

const [, , given = '1', only] = process.argv
const share = Number(given)
const trials = (most: number): number => Math.max(1, Math.round(most / share))
const between = (random: () => number, least: number, most: number): number =>
  Math.round(least + random() * (most - least))
const scratch = mkdtempSync(join(tmpdir(), 'elm-faults-'))
const sum = { lost: 0, doubled: 0, unopenable: 0 }

/** What of the acknowledged looks does not stand just once. */
function judge(name: string, acknowledged: readonly string[], checked: Checked): void {
  if (checked.refused !== null) {
    sum.unopenable += 1
    console.log(`${name}: would not open: ${checked.refused}`)
    return
  }
  const times = acknowledged.map((id) => checked.stands.get(id) ?? 0)
  const lost = times.filter((n) => n === 0).length
  const doubled = times.filter((n) => n > 1).length
  sum.lost += lost
  sum.doubled += doubled
  if (lost + doubled > 0)
    console.log(`${name}: ${lost} lost, ${doubled} doubled; ${checked.notes.join(' ')}`)
}

const copy = (from: string, to: string): void => {
  rmSync(to, { recursive: true, force: true })
  cpSync(from, to, { recursive: true, preserveTimestamps: true })
}

/** A store of its own with a house in it. */
const base = join(scratch, 'base')
function withHouse(name: string, in_ = scratch): string {
  const dir = join(in_, name)
  copy(base, dir)
  cpSync(`${base}.house.json`, `${dir}.house.json`)
  return dir
}

/** Killed in mid-round, again and again, always on the same store. */
async function kills(times: number): Promise<void> {
  const random = seededRandom(1)
  const dir = withHouse('kills')
  const acknowledged: string[] = []
  for (let trial = 0; trial < times; trial++) {
    const run = start(['write', dir, trial])
    await run.until('kept', between(random, 1, 30))
    await run.kill()
    acknowledged.push(...acknowledgedBy(run))
  }
  judge('kills', acknowledged, await check(dir))
  console.log(`${times} kills, ${acknowledged.length} looks acknowledged`)
}

const FULL_DISKS = [
  ['heedless', 0],
  ['write', 0],
  ['heedless', 12_000],
  ['heedless', 100_000],
] as const

const CUTS = ['mixed', 'cut off', 'older', 'of zeros', 'gone', 'older on the same boot'] as const

/** The disk has of the database's files what it likes; of the journal what was waited for, and perhaps more. */
async function powerCuts(times: number): Promise<void> {
  const random = seededRandom(2)
  let looks = 0
  let anew = 0
  for (let trial = 0; trial < times; trial++) {
    const kind = CUTS[trial % CUTS.length]!
    const dir = withHouse('cut')
    const postgres = join(dir, 'postgres')
    const older = join(scratch, 'older')
    const run = start(['write', dir, 1000 + trial])
    await run.until('kept', between(random, 1, 20))
    copy(postgres, older)
    await run.until('kept', between(random, 21, 50))
    await run.kill()
    if (kind === 'older' || kind === 'older on the same boot') copy(older, postgres)
    if (kind === 'mixed') mixTrees(older, postgres, random)
    if (kind === 'gone') rmSync(postgres, { recursive: true })
    if (kind === 'cut off' || kind === 'of zeros') endLogs(dir, kind, random)
    if (kind !== 'older on the same boot') forgetBoot(dir)
    if (random() < 0.5) beginToWrite(dir, random)
    const checked = await check(dir)
    judge(`power cut ${trial} (${kind})`, acknowledgedBy(run), checked)
    looks += acknowledgedBy(run).length
    if (checked.notes.some((note) => note.includes('anew'))) anew += 1
  }
  console.log(
    `${times} power cuts (database files ${CUTS.join(', ')}), ${looks} looks acknowledged; laid down anew ${anew} times`,
  )
}

/** Bytes of the journal turned over or torn off, wherever they are; the machine stayed up. */
async function journals(times: number): Promise<void> {
  const random = seededRandom(3)
  const whole = withHouse('journaled')
  const run = start(['write', whole, 7])
  await run.until('kept', 60)
  await run.kill()
  for (let trial = 0; trial < times; trial++) {
    const dir = join(scratch, 'harmed')
    copy(whole, dir)
    if (trial % 2 === 0) flipByte(dir, random)
    else tearOff(dir, random)
    judge(`journal ${trial}`, acknowledgedBy(run), await check(dir))
  }
  console.log(`${times} damaged journals of ${acknowledgedBy(run).length} looks`)
}

/** A disk that runs full while looks are given, and has room again; one that can only be read. */
async function disks(): Promise<void> {
  for (const [how, leave] of FULL_DISKS.slice(0, trials(200) > 1 ? undefined : 1)) {
    const isHad = await withSmallDisk(join(scratch, 'disk'), 220, async (disk) => {
      const dir = withHouse('data', disk.dir)
      const full = start([how, dir, 1])
      await full.until('kept', 10)
      disk.fill(leave)
      // Refused in words and asked again; or the database stops, and the process with it.
      await full.until('not now', 3)
      const then = full.lines.at(-1)
      const before = acknowledgedBy(full)
      disk.free()
      await full.until('kept', before.length + 10)
      await full.kill()
      const again = start(['write', dir, 2])
      await again.until('kept', 10)
      await again.kill()
      const kept = [...acknowledgedBy(full), ...acknowledgedBy(again)]
      judge(`${how} on a disk with ${leave} bytes free`, kept, await check(dir))
      console.log(
        `${how} on a disk with ${leave} bytes free: ${before.length} looks, then “${then}”; ${kept.length} with room again`,
      )
      disk.makeReadOnly()
      const { refused: words } = await check(dir)
      if (!words?.includes('can only be read')) sum.unopenable += 1
      console.log(`one that can only be read: ${words ?? 'it was opened'}`)
    })
    if (!isHad) console.log('full and read-only disks: not tried, this user may not mount one')
  }
}

/** Three servers at once on one directory, and one that sees no process but its own. */
async function owners(): Promise<void> {
  const dir = withHouse('owners')
  const racers = Array.from({ length: 3 }, () => start(['hold', dir]))
  await Promise.all(
    racers.map((racer) => Promise.race([racer.until('open'), racer.until('refused')])),
  )
  const held = racers.filter(({ lines }) => lines.includes('open')).length
  const { refused } = await check(dir, { apart: true })
  if (held !== 1 || !refused?.startsWith('DataDirLockedError')) sum.doubled += 1
  console.log(
    `three servers at once: ${held} has the data; one in a container of its own: ${refused}`,
  )
  for (const racer of racers) await racer.kill()
}

await start(['begin', base]).ended
const parts = {
  kills: () => kills(trials(200)),
  cuts: () => powerCuts(trials(50)),
  journals: () => journals(trials(200)),
  disks,
  owners,
}
// Beside each other: each is one process at a time.
await Promise.all(
  Object.entries(parts)
    .filter(([name]) => only === undefined || only === name)
    .map(([, part]) => part()),
)
rmSync(scratch, { recursive: true, force: true })
console.log(
  `acknowledged changes lost: ${sum.lost}, doubled: ${sum.doubled}; stores that would not open: ${sum.unopenable}`,
)
process.exit(sum.lost + sum.doubled + sum.unopenable === 0 ? 0 : 1)
