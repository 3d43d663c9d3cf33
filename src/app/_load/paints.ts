import { allWishes } from '@/core/advice/wishes'
import type { HouseRules } from '@/core/advice/house-rules'
import type { Reflectance } from '@/core/colour/spectrum'
import { shiftedByEye } from '@/core/paint/by-eye'
import {
  reflectanceOfReading,
  deckSource,
  sourceOf,
  type ReadingSource,
} from '@/core/paint/reading'
import { atStrength, ladderOf, whyNoLadder } from '@/core/paint/strength'
import { isJudgedAgainst, isMottled, mayInspire, settlesColours } from '@/core/pairing/keeper-kind'
import type { StrengthRung } from '@/core/pairing/pair-reading'
import { roleOf } from '@/core/pairing/role'
import {
  finishesOf,
  neighbourFinish,
  type NamedFinish,
  type RoomBrief,
} from '@/core/ranking/asked-room'
import { eyeSaidIn } from '@/core/record/eye-said'
import type { ProposalStatus } from '@/core/record/proposal'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { leanOf } from '@/core/undertone/lean'
import { undertoneOf } from '@/core/undertone/undertone'
import type { Candidate } from '@/db/candidates'
import type { Deck, DeckColour } from '@/db/decks'
import type { Keeper, KeeperColour } from '@/db/keepers'
import type { Room } from '@/db/rooms'
import type { Visit } from '@/db/visits'
import type { BenchCandidate, BenchKeeper, ProposedCandidate } from '@/ui/bench/bench-model'
import { deckWords } from '@/ui/deck/deck-words'
import type { LeadKeeper } from '@/ui/lead/lead-model'
import type { DeckName, ListedColour } from '@/workers/fetch-deck'
import {
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadLooksThatCount,
  loadVisit,
} from './visit-page'

// Candidates are asked for once a request; in a house of twelve rooms each is shown twelve times.
const paints = new WeakMap<Candidate, BenchCandidate>()

/** A candidate ready to be looked at, with the ladder its base allows. */
export function candidatePaint(candidate: Candidate, decks: readonly Deck[]): BenchCandidate {
  const known = paints.get(candidate)
  if (known) return known
  const deck = decks.find(({ id }) => id === candidate.deckId)
  if (!deck) throw new RangeError(`candidate ${candidate.id} is of an unknown deck`)
  const full = reflectanceOfReading(candidate.reading)
  const whiteBase = whiteBaseOf(deck)
  const rung = (strengthPercent: number): StrengthRung => ({
    strengthPercent,
    reflectance: atStrength(full, whiteBase, strengthPercent),
    source: deckSource(candidate.reading),
  })
  const reason = whyNoLadder(candidate.base)
  const paint: BenchCandidate = {
    ...rung(candidate.strengthPercent),
    id: candidate.id,
    deckColourId: candidate.deckColourId,
    code: candidate.code,
    name: candidate.name,
    deckName: deckWords(deck),
    sheens: candidate.sheens,
    lean: leanOf(undertoneOf(DAYLIGHT, full)),
    ladder: reason ? [] : ladderOf(candidate.base).map(rung),
    whyNoLadder: reason,
  }
  paints.set(candidate, paint)
  return paint
}

/** A candidate in the sheen that it is proposed in for a room. */
export const proposedPaint = (
  candidate: Candidate,
  roomId: string,
  decks: readonly Deck[],
): ProposedCandidate => ({
  ...candidatePaint(candidate, decks),
  sheen: candidate.proposals.find((proposal) => proposal.roomId === roomId)?.sheen ?? 'matt',
})

export const whiteBaseOf = (deck: Deck): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: deck.whiteBase })

/** The keepers of a room that could lead, as surfaces. */
export const leadKeepers = (keepers: readonly Keeper[], rules: HouseRules): LeadKeeper[] =>
  keepers
    .filter(({ state }) => isJudgedAgainst(state))
    .map((keeper) => ({
      ...keeperFinish(keeper, rules),
      inspires: mayInspire(keeper.kind, keeper.colours.length),
    }))

/** A keeper with its colours as surfaces. */
export function keeperFinish(keeper: Keeper, rules: HouseRules): BenchKeeper {
  return {
    id: keeper.id,
    name: keeper.name,
    state: keeper.state,
    settles: settlesColours(keeper),
    role: roleOf(keeper.kind, rules, keeper.texture),
    varies: keeper.varies,
    patchHash: keeper.patchHash,
    isMottled: isMottled(keeper.kind),
    colours: keeper.colours.map((colour) => ({
      part: colour.part,
      sharePercent: colour.sharePercent,
      reflectance: shiftedByEye(reflectanceOfReading(colour.reading), colour.shift),
      source: colour.evidence?.uncertainty ?? readingSourceOf(colour),
    })),
  }
}

/** How a keeper's colour came to be known; one matched by eye to a deck colour is weaker than that colour's own reading. */
export const readingSourceOf = ({ source, deckColourId, reading }: KeeperColour): ReadingSource =>
  source ?? (deckColourId ? 'eye' : sourceOf(reading))

/** A deck as a page is told of it. */
export const deckName = ({ id, maker, name, whiteBase }: Deck): DeckName => ({
  id,
  maker,
  name,
  whiteBase,
})

/** A deck colour as lists and rankings need it. */
export const deckEntry = ({ deckColourId, reading, ...colour }: DeckColour): ListedColour => ({
  id: deckColourId,
  code: colour.code,
  name: colour.name,
  strip: colour.strip,
  base: colour.base,
  source: deckSource(reading),
  printedLrvPercent: colour.printedLrvPercent,
  sheens: colour.sheens,
  mayBeRefused: colour.mayBeRefused,
})

/** Everything that a deck is ranked by in a room, whatever the day. */
export async function loadRoomBrief(visit: Visit, room: Room): Promise<RoomBrief> {
  const rules = visit.houseRules
  const judged = (await loadKeepersInRoom(visit.id, room.id)).filter(({ state }) =>
    isJudgedAgainst(state),
  )
  const candidates = new Map((await loadCandidates(visit.id)).map((each) => [each.id, each]))
  const looks = (await loadLooksThatCount(visit.id)).filter((look) => look.roomId === room.id)
  return {
    rules,
    eye: eyeSaidIn(looks, (id) => candidates.get(id)),
    finishes: [
      ...finishesOf(
        judged.map((keeper) => ({ ...keeper, ...keeperFinish(keeper, rules) })),
        room.leadKeeperId,
      ),
      ...(await neighboursOf(visit, room)),
    ],
    wishes: {
      hasCarpet: judged.some(({ kind }) => kind === 'carpet'),
      useHours: room.useHours,
      climate: visit.climate,
      wants: allWishes(visit.wants, visit.wishes),
      contrast: visit.contrast,
      willNotHave: visit.willNotHave,
    },
  }
}

/** Walls of the rooms seen from this one, as far as they are settled: the pick, or what goes to board. */
async function neighboursOf(visit: Visit, room: Room): Promise<NamedFinish[]> {
  if (room.seenFrom.length === 0) return []
  const { rooms } = await loadVisit(visit.id)
  const candidates = await loadCandidates(visit.id)
  const decks = await loadDecks()
  return rooms
    .filter(({ id }) => room.seenFrom.includes(id))
    .flatMap((other) => {
      const onWalls = (status: ProposalStatus): Candidate | undefined =>
        candidates.find(({ ruledOut, proposals }) =>
          proposals.some(
            (each) =>
              each.roomId === other.id &&
              each.surface === 'walls' &&
              each.status === status &&
              ruledOut === null,
          ),
        )
      const settled = onWalls('picked') ?? onWalls('going to board')
      if (!settled) return []
      const { reflectance, source, name, strengthPercent } = candidatePaint(settled, decks)
      const part = `${name} at ${strengthPercent} %`
      const wall = { id: other.id, name: `the walls of ${other.name}`, part, reflectance, source }
      return [neighbourFinish(wall, visit.houseRules)]
    })
}
