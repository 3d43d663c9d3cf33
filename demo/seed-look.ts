import { prepareLight } from '../src/core/colour/appearance'
import { PLAIN_LAMP, PLAIN_WINDOW, PLAIN_SURFACES } from '../src/core/light/room'
import { lightOf, type LightChoice, type RoomDay } from '../src/core/light/light-choice'
import { roleOf } from '../src/core/pairing/role'
import { reflectanceOfReading } from '../src/core/paint/reading'
import { atStrength, ladderOf } from '../src/core/paint/strength'
import type { DeckColour } from '../src/db/decks'
import { SHIPPED_DECK } from '../src/formats/shipped-deck'
import { localDay } from '../src/time/local-day'
import { lookLight, modelThen, readingOf, type BenchPair } from '../src/ui/bench/bench-model'
import { steadyId, type Hand } from './hand'
import type { DemoKeeper, DemoLook, DemoRoom, DemoVisit } from './visits/visit-shape'

export interface Visited {
  readonly visitId: string
  readonly visit: DemoVisit
  readonly deck: ReadonlyMap<string, DeckColour>
  /** Of the stone counter: the whole, corrected, and the part that stands for it. */
  readonly photos: { readonly photoHash: string; readonly patchHash: string }
  /** Finishes entered so far: one that runs on into another room is entered once. */
  readonly entered: Map<DemoKeeper, { readonly id: string; readonly roomIds: string[] }>
  readonly candidateIds: Map<string, string>
  /** Looks to be taken, each at its hour. */
  readonly toLook: LookToTake[]
}

export interface LookToTake {
  readonly room: DemoRoom
  readonly roomId: string
  readonly keeperId: string
  readonly look: DemoLook
}

export const strengthOf = ({ visit }: Visited, code: string): number =>
  visit.candidates.find(([each]) => each === code)![1]

/** A look with what the model said of the pair in that light. */
export async function seedLook(
  hand: Hand,
  visited: Visited,
  { room, roomId, keeperId, look }: LookToTake,
): Promise<void> {
  const { visitId, candidateIds } = visited
  const strengthPercent = strengthOf(visited, look.code)
  const roomDay = dayOf(visited.visit, room)
  const choice: LightChoice = {
    source: look.light,
    minute: look.minute,
    sky: 'clear',
    lampsOn: false,
    spot: 'walls',
  }
  const light = lightOf(roomDay, choice)
  const pair = pairOf(visited, room, look)
  const { held = 'board', heldPercent = strengthPercent, onScreen = false, ...how } = look.how
  await hand.make('keep-look', {
    visitId,
    lookId: steadyId(),
    roomId,
    candidate: {
      candidateId: candidateIds.get(look.code)!,
      deckColourId: visited.deck.get(look.code)!.deckColourId,
      strengthPercent,
      sheen: 'matt',
    },
    against: { kind: 'keeper', keeperId, part: null },
    seen: onScreen ? { as: 'screen' } : { as: 'sample', held, strengthPercent: heldPercent },
    light: lookLight(roomDay, choice, light, how.place ?? ''),
    verdict: look.verdict,
    reasons: [...look.reasons],
    note: look.note,
    lean: how.lean ?? null,
    client: how.client ?? null,
    modelSeenBefore: false,
    model:
      light &&
      modelThen(
        readingOf(prepareLight(light.spectrum, light.illuminanceLux), pair, null),
        pair.keeper,
      ),
  })
}

function pairOf({ visit, deck }: Visited, room: DemoRoom, look: DemoLook): BenchPair {
  const colour = deck.get(look.code)!
  const full = reflectanceOfReading(colour.reading)
  const whiteBase = reflectanceOfReading({ kind: 'lab', lab: SHIPPED_DECK.whiteBase })
  const rung = (strengthPercent: number) => ({
    strengthPercent,
    source: 'maker' as const,
    reflectance: atStrength(full, whiteBase, strengthPercent),
  })
  const [, strengthPercent] = visit.candidates.find(([code]) => code === look.code)!
  const keeper = room.keepers.find(({ name }) => name === look.against)!
  return {
    candidate: {
      ...rung(strengthPercent),
      id: '',
      deckColourId: colour.deckColourId,
      code: colour.code,
      name: colour.name,
      deckName: `${SHIPPED_DECK.maker}, ${SHIPPED_DECK.name}`,
      sheens: null,
      lean: null,
      sheen: 'matt',
      whyNoLadder: null,
      ladder: ladderOf(colour.base).map(rung),
    },
    keeper: {
      id: '',
      settles: true,
      patchHash: null,
      isMottled: false,
      name: keeper.name,
      state: keeper.state,
      varies: keeper.varies ?? false,
      role: roleOf(keeper.kind, visit.houseRules),
      colours: keeper.colours.map(([part, sharePercent, lab]) => ({
        part,
        sharePercent,
        source: 'reader' as const,
        reflectance: reflectanceOfReading({ kind: 'lab', lab }),
      })),
    },
  }
}

function dayOf({ place, date }: DemoVisit, room: DemoRoom): RoomDay {
  const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
  return {
    place,
    day: localDay(date, place.timeZone),
    room: {
      northSouthMm,
      eastWestMm,
      heightMm,
      surfaces: PLAIN_SURFACES,
      windows: room.windows.map((window) => ({ ...PLAIN_WINDOW, ...window })),
      lamps: room.lamps.map((lamp) => ({ ...PLAIN_LAMP, ...lamp })),
    },
  }
}
