import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import type { EyeInForce } from '@/core/eye/factors'
import { setImmediate } from 'node:timers/promises'
import { dayParts } from '@/core/light/day-parts'
import { screenColour } from '@/core/colour/appearance'
import { solarNoonMinute } from '@/core/light/light-choice'
import { lookSaid } from '@/core/record/look-words'
import { VERDICT_WORDS } from '@/core/record/verdict'
import { depthPart, doorway, threadSaid } from '@/core/scheme/doorways'
import { clientSheet } from '@/core/sheet/client-sheet'
import { counterSlip } from '@/core/sheet/counter-slip'
import { fetchSheet, type ToFetch } from '@/core/sheet/fetch-sheet'
import type { HandOff } from '@/core/sheet/hand-off'
import { houseSheet } from '@/core/sheet/house-sheet'
import { painterSchedule } from '@/core/sheet/painter-schedule'
import { roomRecords, type RecordedRoom } from '@/core/sheet/room-record'
import type { SheetDocument, SheetKind, SheetPicture } from '@/core/sheet/sheet-document'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { undertoneOf } from '@/core/undertone/undertone'
import { litRooms, pairsOf } from '@/ui/together/lit-rooms'
import { loadFetchList, type FetchEntry } from './fetch-list'
import { handedPaint, loadHandOff, sheetSwatch } from './hand-off'
import { candidatePaint } from './paints'
import { loadRoomPicture, picturesOf } from './room-pictures'
import { loadRoomSheet } from './room-sheet'
import { loadTradeWords } from './settings'
import { loadTogether } from './together'
import {
  loadCandidates,
  loadDecks,
  loadEyeInForce,
  loadRoom,
  loadRoomDays,
  loadVisit,
} from './visit-page'

/**
 * A sheet of a visit, whole; the same for screen, print and PDF.
 *
 * @param isDrawn with the bytes of its pictures, as a PDF needs them; a page has them from their addresses
 */
export async function loadSheet(
  visitId: string,
  kind: SheetKind,
  isDrawn = false,
): Promise<SheetDocument> {
  const sheet = await plainSheet(visitId, kind, isDrawn)
  const eye = await loadEyeInForce()
  return eye ? { ...sheet, foot: `${sheet.foot} ${judgedWith(eye)}` } : sheet
}

const judgedWith = ({ version }: EyeInForce): string =>
  `Pairs were judged with the consultant’s own eye, version ${version}.`

async function plainSheet(
  visitId: string,
  kind: SheetKind,
  isDrawn: boolean,
): Promise<SheetDocument> {
  const house = await loadHandOff(visitId)
  switch (kind) {
    case 'client':
      return loadClientSheet(visitId, house, isDrawn)
    case 'painter':
      return painterSchedule(house)
    case 'counter':
      return counterSlip(house, await byDaylight(visitId))
    case 'house':
      return loadHouseSheet(visitId, house)
    case 'fetch': {
      const { toFetch, neverHeld } = await loadFetchList(visitId)
      const entry = await entryOf(visitId)
      return fetchSheet(house.head, toFetch.map(entry), neverHeld.map(entry))
    }
    case 'record':
      return roomRecords(house, await recordedRooms(visitId))
  }
}

/** The client's sheet, with pictures of the rooms whose walls are ruled. */
async function loadClientSheet(
  visitId: string,
  house: HandOff,
  isDrawn: boolean,
): Promise<SheetDocument> {
  const pictures = new Map<string, readonly SheetPicture[]>()
  for (const { id, name, ruled } of house.rooms) {
    if (!ruled.some(({ surface }) => surface === 'walls')) continue
    const { roomDay } = await loadRoom(visitId, id)
    const shown: SheetPicture[] = []
    for (const each of picturesOf(roomDay)) {
      const jpeg = isDrawn ? await loadRoomPicture(visitId, id, each.name) : null
      shown.push({
        caption: `${name} ${each.words}`,
        src: `/api/visits/${visitId}/rooms/${id}/picture/${each.name}`,
        ...(jpeg && { jpeg }),
      })
    }
    pictures.set(id, shown)
  }
  return clientSheet(house, ({ id }) => pictures.get(id) ?? [])
}

/** The whole house on one sheet, its doorways at midday. */
async function loadHouseSheet(visitId: string, house: HandOff): Promise<SheetDocument> {
  const { rooms, visit } = await loadTogether(visitId)
  const decks = await loadDecks()
  const candidates = await loadCandidates(visitId)
  const walled = rooms
    .flatMap(({ walls, ...room }) => (walls ? [{ ...room, walls }] : []))
    .sort((p, q) => q.walls.lrvPercent - p.walls.lrvPercent)
  const [first] = rooms
  const lit = first
    ? litRooms(
        rooms,
        {
          ...{ source: 'room', sky: 'clear', lampsOn: false, spot: 'walls' },
          minute: solarNoonMinute(first.roomDay.place, first.roomDay.day),
        },
        first.roomDay.day,
      )
    : []
  return houseSheet(
    house,
    walled.map(({ name, walls, roomDay }) => ({
      room: name,
      part: depthPart(walls.lrvPercent),
      paint: handedPaint(
        candidates.find(({ id }) => id === walls.id)!,
        decks,
      ),
      swatch: sheetSwatch(walls, dayParts(roomDay)),
      status: walls.status,
    })),
    threadSaid(
      walled.map(({ name, walls }) => ({
        name,
        undertone: undertoneOf(DAYLIGHT, walls.reflectance),
      })),
    ),
    pairsOf(lit).map(([p, q]) => {
      const { judgement, why, stepLrv, stepWords } = doorway([p.lit, q.lit], visit.houseRules)
      return {
        rooms: `${p.name} and ${q.name}`,
        judgement: `${JUDGEMENT_WORDS[judgement]}: ${why}`,
        step: `${Math.round(stepLrv)} % of LRV, ${stepWords}`,
      }
    }),
  )
}

async function byDaylight(visitId: string): Promise<ReadonlyMap<string, string>> {
  const decks = await loadDecks()
  return new Map(
    (await loadCandidates(visitId)).map((candidate) => [
      candidate.id,
      screenColour(DAYLIGHT, candidatePaint(candidate, decks).reflectance).hex,
    ]),
  )
}

async function entryOf(visitId: string): Promise<(entry: FetchEntry) => ToFetch> {
  const inWords = await loadTradeWords()
  const decks = await loadDecks()
  const candidates = await loadCandidates(visitId)
  return ({ paint, wanted, rooms }) => ({
    paint: handedPaint(
      candidates.find(({ id }) => id === paint.id)!,
      decks,
    ),
    swatch: sheetSwatch(paint, []),
    wanted:
      wanted.length > 0
        ? wanted.map(
            ({ room, surface, reason }) => `${room}, ${inWords(surface)}${reason && `: ${reason}`}`,
          )
        : rooms,
  })
}

async function recordedRooms(visitId: string): Promise<RecordedRoom[]> {
  const inWords = await loadTradeWords()
  const page = await loadVisit(visitId)
  const decks = await loadDecks()
  const candidates = await loadCandidates(visitId)
  const roomDays = await loadRoomDays(page)
  const recorded: RecordedRoom[] = []
  for (const room of page.rooms) {
    // A large house takes seconds: others are served in between.
    await setImmediate()

    const sheet = await loadRoomSheet(visitId, room.id)
    const parts = dayParts(roomDays.get(room.id)!)
    const entries = [...sheet.groups.flatMap(({ entries: some }) => some), ...sheet.unseen]
    recorded.push({
      name: room.name,
      light: sheet.sentences,
      keepers: sheet.keepers.map(({ name, state }) => `${name}: ${state}`),
      ruled: sheet.rulings.map(
        ({ surface, entry, sheen, by, on }) =>
          `Ruled for ${inWords(surface)}: ${entry.paint.code}, ${entry.paint.name} at ${entry.paint.strengthPercent} %, ${sheen}, by ${by}, ${on}`,
      ),
      candidates: entries.map(({ paint, says, ruledOut, looks }) => ({
        paint: handedPaint(
          candidates.find(({ id }) => id === paint.id)!,
          decks,
        ),
        swatch: sheetSwatch(paint, parts),
        stands:
          ruledOut !== null
            ? `ruled out: ${ruledOut.replace(/\.$/, '')}`
            : says.verdict === null
              ? 'not seen yet'
              : says.look
                ? lookSaid(says.look)
                : VERDICT_WORDS[says.verdict],
        looks: looks.map(({ against, light, how, said, by, note, client, model }) => ({
          ...{ against, light, how, said, by, note },
          client: client ? [client.says, client.words].filter(Boolean).join(', ') : '',
          model: model ? JUDGEMENT_WORDS[model.judgement] : '',
        })),
      })),
    })
  }
  return recorded
}

/** What a sheet's file is called: whose, what, when. */
export const sheetFileName = ({
  household,
  title,
  date,
}: Pick<SheetDocument, 'household' | 'title' | 'date'>): string =>
  [household, title, date]
    .join(' ')
    .normalize('NFKD')
    .replace(/[^\w ]+/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase()
