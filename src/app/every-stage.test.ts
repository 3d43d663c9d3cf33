import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { isValidElement, type ReactElement, type ReactNode } from 'react'
import { layStageIn, STAGES } from '../db/stages.fixture'
import { apply } from '../commands/apply'
import type { Command } from '../commands/kinds'
import { SHEET_KINDS } from '../core/sheet/sheet-document'
import { layingRowsIn, readAllRows, takeAllRowsAway } from '../db/all-rows'
import { listAllCandidates } from '../db/candidates'
import type { Db } from '../db/db'
import { listDecks } from '../db/decks'
import { listKeepers } from '../db/keepers'
import { listLooks } from '../db/looks'
import { migrate, newestMigration } from '../db/migrate'
import { listRooms } from '../db/rooms'
import { VISIT_ROW_SHAPES } from '../db/row-shapes'
import { emptyTestDb } from '../db/test-db.fixture'
import { visitRows, VISIT_TABLES } from '../db/visit-rows'
import { listVisits } from '../db/visits'
import { laySnapshotIn, writeSnapshot } from '../store/snapshot'
import type { Store } from '../store/store'

// Threads of the server do not begin inside of Jest, and no store is asked by this one.
jest.mock('../workers/room-picture-client', () => ({
  picturesOfRoom: ({ moments }: { readonly moments: readonly unknown[] }) =>
    Promise.resolve(moments.map(() => new Uint8Array(3))),
}))

const { db, close } = emptyTestDb()
afterAll(close)

const holder = globalThis as { elmStore?: Promise<Store> }
const APP = join(__dirname, '.')
const PAGES = (readdirSync(APP, { recursive: true }) as string[])
  .filter((file) => file.endsWith('page.tsx'))
  // The door has no store behind it.
  .filter((file) => !/^(enter|offline|start)\//.test(file))
  .sort()

type Page = (props: Readonly<Record<string, unknown>>) => Promise<ReactNode>

/** Runs the parts of a page that run on the server, as deep as they go. */
async function served(node: ReactNode): Promise<void> {
  if (Array.isArray(node)) return void (await Promise.all(node.map(served)))
  if (!isValidElement(node)) return
  const { type, props } = node as ReactElement<Readonly<Record<string, unknown>>>
  if (typeof type === 'function' && type.constructor.name === 'AsyncFunction')
    return served(await (type as Page)(props))
  for (const each of Object.values(props)) await served(each as ReactNode)
}

// What works out a house or a room whole takes seconds, and so does a backup: of the last stage without commands, on the embedded
// engine, which takes longer for all and is asked of a few; the server is asked of the others. Of each, on both, with ELM_LONG=1.
const WHOLE_PAGES = /(grid|plan|sheets.*|boards|ruling|sheet|fetch|together)\/page\.tsx$/
const isLong = Boolean(process.env.ELM_LONG)
const FEW = [1, 5, 6, STAGES.at(-1)!]
const STAGES_HERE = isLong
  ? STAGES
  : STAGES.filter((stage) => FEW.includes(stage) === db.isOneSession)
const isWhole = (stage: number): boolean => isLong || (stage === 5 && db.isOneSession)

/** Each page of the application on a store, by its file. */
async function everyPage(stage: number, visitId: string, roomId: string): Promise<void> {
  for (const file of PAGES) {
    if (WHOLE_PAGES.test(file) && !isWhole(stage)) continue
    const { default: page } = (await import(`./${file}`)) as { default: Page }
    const kinds = file.includes('[kind]') ? SHEET_KINDS : ['']
    for (const kind of kinds)
      try {
        await served(
          await page({
            params: Promise.resolve({ visitId, roomId, kind }),
            searchParams: Promise.resolve({}),
          }),
        )
      } catch (error) {
        // An address that leads on to another is an answer.
        if (/NEXT_REDIRECT/.test(String((error as { digest?: unknown }).digest))) continue
        throw new Error(`${file} ${kind}`, { cause: error })
      }
  }
}

let made = 0
const sent = <K extends Command['kind']>(kind: K, payload: unknown): Command =>
  ({
    ...{ id: `00000000-0000-4000-9000-${String(++made).padStart(12, '0')}`, kind, payload },
    ...{ actor: 'Ines Tarrow', device: 'test', madeAt: '2026-12-01T10:00:00Z' },
  }) as unknown as Command

/** A look kept and taken back, as a hand on the bench does. */
async function aLook(on: Db, visitId: string): Promise<void> {
  const [room] = await listRooms(on, visitId)
  const keeper = (await listKeepers(on, visitId)).find(({ roomId }) => roomId === room!.id)!
  const candidate = (await listAllCandidates(on, visitId)).find(({ dropped }) => !dropped)!
  const standing = async () =>
    (await listLooks(on, visitId)).filter(({ retracted }) => !retracted).length
  const before = await standing()
  const look = sent('keep-look', {
    ...{ visitId, lookId: '00000000-0000-4000-9000-0000000000aa', roomId: room!.id },
    candidate: {
      ...{ candidateId: candidate.id, deckColourId: candidate.deckColourId },
      ...{ strengthPercent: candidate.strengthPercent, sheen: 'matt' },
    },
    against: { kind: 'keeper', keeperId: keeper.id, part: null },
    seen: { as: 'sample', held: 'chip', strengthPercent: 100 },
    light: {
      ...{ source: 'room', date: '2026-12-01', minute: 700, sky: 'clear', lampsOn: false },
      ...{ spot: 'walls', place: '', metered: null },
    },
    ...{ verdict: 'no', reasons: [], lean: null, note: '', client: null },
    ...{ model: null, modelSeenBefore: false },
  })
  expect(await apply(on, look, '2026-12-01T10:00:00Z')).toMatchObject({ ok: true })
  expect(await standing()).toBe(before + 1)
  const back = sent('undo', { visitId, commandId: look.id })
  expect(await apply(on, back, '2026-12-01T10:00:01Z')).toMatchObject({ ok: true })
  expect(await standing()).toBe(before)
}

const rowsOf = (on: Db): Promise<string[]> =>
  readAllRows(on, async ({ parts }) => {
    const lines: string[] = []
    for await (const part of parts)
      if ('table' in part)
        for (const row of part.rows) lines.push(`${part.table} ${JSON.stringify(row)}`)
    return lines.sort()
  })

/** Put into a backup's rows and back, the store is the same. */
async function backedUpAndRestored(on: Db): Promise<void> {
  const dir = mkdtempSync(join(tmpdir(), 'elm-stage-'))
  const file = join(dir, 'rows.gz')
  const before = await rowsOf(on)
  await writeSnapshot(on, file, newestMigration())
  await on.transaction((tx) =>
    layingRowsIn(tx, async () => {
      await takeAllRowsAway(tx)
      await laySnapshotIn(tx, file)
    }),
  )
  expect(await rowsOf(on)).toEqual(before)
  rmSync(dir, { recursive: true })
}

test('there is a store of every stage before this one', () => {
  const before = Array.from({ length: newestMigration() - 1 }, (_, at) => at + 1)
  expect(STAGES).toEqual(expect.arrayContaining(before))
})

test.each(STAGES_HERE)(
  'a store of stage %i opens: every page answers, a look is kept and taken back, its visits go into files, and all of it into a backup and back',
  async (stage) => {
    await db.exec('drop schema public cascade; create schema public')
    await layStageIn(db, stage)
    await migrate(db)
    holder.elmStore = Promise.resolve({ db } as Store)
    const visits = await listVisits(db)
    expect(visits.length).toBeGreaterThan(0)
    const [visit] = visits.filter(({ looks }) => looks > 0)
    const [room] = await listRooms(db, visit!.id)
    expect((await listDecks(db))[0]!.colours).toBeGreaterThan(500)
    await everyPage(stage, visit!.id, room!.id)
    await aLook(db, visit!.id)
    for (const { id } of visits) {
      const rows = await visitRows(db, id)
      for (const name of VISIT_TABLES)
        for (const row of rows[name])
          expect([name, VISIT_ROW_SHAPES[name].safeParse(row).error?.issues]).toEqual([
            name,
            undefined,
          ])
    }
    if (isWhole(stage) || stage === 1) await backedUpAndRestored(db)
  },
)
