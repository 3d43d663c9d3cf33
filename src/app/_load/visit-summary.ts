import { prepareLight, screenColour, type ScreenColour } from '@/core/colour/appearance'
import { daylightSpectrum } from '@/core/colour/daylight'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { cellSays } from '@/core/record/cell'
import { leftToDo } from '@/core/record/left-to-do'
import { looksOf } from './house-grid'
import { candidatePaint } from './paints'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadKeepers,
  loadLooksThatCount,
  loadVisit,
} from './visit-page'

/** A colour that works in some room of a house, as it is by daylight. */
export interface WorkingColour {
  readonly id: string
  readonly words: string
  readonly colour: ScreenColour
}

// A list stands in no room: plain daylight, bright enough to see by (common practice).
const PLAIN_DAYLIGHT = prepareLight(daylightSpectrum(6504), 500)

interface Summary {
  readonly works: readonly WorkingColour[]
  readonly left: readonly string[]
}

// As of the last change of each visit: a list of thirty would ask for thirty houses whole.
const known = new Map<string, Summary>()
const MOST_KNOWN = 1000

/** What works in a house, and what is left to do there, as of its last change. */
export async function loadVisitSummary(visitId: string, lastChange: string): Promise<Summary> {
  const before = known.get(lastChange)
  if (before) return before
  const summary = await summaryOf(visitId)
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!)
  known.set(lastChange, summary)
  return summary
}

async function summaryOf(visitId: string): Promise<Summary> {
  const { rooms } = await loadVisit(visitId)
  const [keepers, candidates, looks, decks] = [
    await loadKeepers(visitId),
    await loadCandidates(visitId),
    await loadLooksThatCount(visitId),
    await loadDecks(),
  ]
  const works = candidates.flatMap((candidate): WorkingColour[] => {
    const where = rooms.filter(
      ({ id }) =>
        isUpIn(candidate, id) && cellSays(looksOf(looks, candidate.id, id)).verdict === 'works',
    )
    if (where.length === 0) return []
    const { name, strengthPercent, reflectance } = candidatePaint(candidate, decks)
    return [
      {
        id: candidate.id,
        words: `${name} at ${strengthPercent} per cent works in ${where.map((room) => room.name).join(' and ')}`,
        colour: screenColour(PLAIN_DAYLIGHT, reflectance),
      },
    ]
  })
  const left = leftToDo(
    rooms.map((room) => ({
      id: room.id,
      name: room.name,
      windows: room.windows.length,
      lamps: room.lamps.length,
      keeperIds: keepers
        .filter(({ roomIds, state }) => roomIds.includes(room.id) && isJudgedAgainst(state))
        .map(({ id }) => id),
      candidateIds: candidates
        .filter((candidate) => isUpIn(candidate, room.id))
        .map(({ id }) => id),
    })),
    looks,
  )
  return { works, left }
}
