import { cache } from 'react'
import type { EyeLight, EyeLook } from '@/core/eye/differences'
import { reflectanceOfReading } from '@/core/paint/reading'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { leanOf } from '@/core/undertone/lean'
import { undertoneOf } from '@/core/undertone/undertone'
import { listDeckColoursById } from '@/db/decks'
import { listEyeLooks, type EyeLookRow } from '@/db/eye-looks'
import { openDb } from '@/store/store'
import { dateAt } from '@/time/local-day'
import type { PastRulings } from '@/ui/practice/past-rulings'

/** The latest verdicts beside keepers, over all visits, as eye and model are compared by them. */
export const loadEyeLooks = cache(async (most?: number): Promise<EyeLook[]> => {
  const db = await openDb()
  const rows = await listEyeLooks(db, most)
  const ids = [...new Set(rows.map(({ deckColourId }) => deckColourId))]
  const colours = new Map(
    (await listDeckColoursById(db, ids)).map((colour) => [
      colour.deckColourId,
      {
        name: colour.name,
        lean: leanOf(undertoneOf(DAYLIGHT, reflectanceOfReading(colour.reading)))?.lean ?? 'quiet',
      } as const,
    ]),
  )
  return rows.flatMap((row) => {
    const colour = colours.get(row.deckColourId)
    return colour ? [eyeLook(row, colour)] : []
  })
})

const eyeLook = (
  row: EyeLookRow,
  { name, lean }: { readonly name: string; readonly lean: EyeLook['lean'] },
): EyeLook => ({
  ...{ id: row.id, visitId: row.visitId, roomId: row.roomId, candidateId: row.candidateId },
  keeperId: row.keeperId,
  words: `${name} at ${row.strengthPercent} % beside ${row.keeperName}, ${row.roomName}, ${row.household}`,
  madeAt: row.madeAt,
  on: dateAt(row.madeAt, row.timeZone),
  verdict: row.verdict,
  chance: row.modelChance,
  modelSeenBefore: row.modelSeenBefore,
  lean,
  finish: row.keeperKind,
  light: lightWord(row),
  medium: row.seenAs === 'sample' ? (row.held ?? 'not noted') : row.seenAs,
  clientSays: row.clientSays,
  isPicked: row.isPicked,
})

function lightWord({ source, sky, lampsOn }: EyeLookRow): EyeLight {
  if (source === 'lamps') return 'lamps alone'
  if (source !== 'room') return 'a light held up'
  if (lampsOn) return 'day with lamps'
  return sky === 'overcast' ? 'a covered day' : 'a clear day'
}

/** The same counted by lean and finish: one's own past rulings on such pairs. */
export function pastRulingsOf(looks: readonly EyeLook[]): PastRulings[] {
  const found = new Map<string, PastRulings>()
  for (const { lean, finish, verdict } of looks) {
    const name = `${lean} ${finish}`
    const before = found.get(name) ?? { lean, finish, works: 0, no: 0, unsure: 0 }
    const as = verdict === 'works' ? 'works' : verdict === 'unsure' ? 'unsure' : 'no'
    found.set(name, { ...before, [as]: before[as] + 1 })
  }
  return [...found.values()]
}
