import { teaches } from '@/core/eye/differences'
import type { ToTeach } from '@/core/eye/learn'
import type { RoomDay } from '@/core/light/light-choice'
import { deckSource, reflectanceOfReading } from '@/core/paint/reading'
import { atStrength } from '@/core/paint/strength'
import { listDeckColoursById } from '@/db/decks'
import { listEyeLooks } from '@/db/eye-looks'
import { openDb } from '@/store/store'
import { keeperFinish, whiteBaseOf } from './paints'
import { loadDecks, loadKeepers, loadRoomDays, loadVisit } from './visit-page'

/** What the eye said before it knew, with all that it takes to judge the same pairs again. */
export async function loadTeaching(): Promise<ToTeach> {
  const db = await openDb()
  const rows = (await listEyeLooks(db)).filter((row) =>
    teaches({ ...row, chance: row.modelChance }),
  )
  const colours = new Map(
    (await listDeckColoursById(db, [...new Set(rows.map((row) => row.deckColourId))])).map(
      (colour) => [colour.deckColourId, colour] as const,
    ),
  )
  const decks = await loadDecks()
  const days = new Map<string, RoomDay>()
  const looks: ToTeach['looks'][number][] = []
  for (const row of rows) {
    const page = await loadVisit(row.visitId)
    const keeper = (await loadKeepers(row.visitId)).find(({ id }) => id === row.keeperId)
    const colour = colours.get(row.deckColourId)
    const deck = decks.find(({ id }) => id === colour?.deckId)
    const day = `${row.roomId} ${row.date}`
    if (!keeper || !colour || !deck) continue
    if (!days.has(day)) {
      const roomDay = (await loadRoomDays(page, row.date ?? undefined)).get(row.roomId)
      if (!roomDay) continue
      days.set(day, roomDay)
    }
    const finish = keeperFinish(keeper, page.visit.houseRules)
    const parts = finish.colours.filter(({ part }) => row.part === null || part === row.part)
    looks.push({
      ...{ id: row.id, day, works: row.verdict === 'works' },
      light: {
        ...{ source: row.source, minute: row.minute, sky: row.sky },
        ...{ lampsOn: row.lampsOn, spot: row.spot },
      },
      wall: {
        reflectance: atStrength(
          reflectanceOfReading(colour.reading),
          whiteBaseOf(deck),
          row.heldStrengthPercent ?? row.strengthPercent,
        ),
        source: deckSource(colour.reading),
      },
      keeper: { ...finish, colours: parts.length > 0 ? parts : finish.colours },
    })
  }
  return { days, looks }
}
