import type { KeeperKind, KeeperState } from '../../src/core/pairing/keeper-kind'
import type { RoomLamp, RoomWindow } from '../../src/core/light/room'
import type { UseHours } from '../../src/core/light/use-hours'
import type { HouseRules } from '../../src/core/advice/house-rules'
import type { Reason, Verdict } from '../../src/core/record/verdict'
import type { LightSource } from '../../src/core/light/light-choice'
import type { PayloadOf } from '../../src/commands/kinds'
import type { Held, LeanWord } from '../../src/core/record/look'
import type { Sheen } from '../../src/core/paint/sheen'
import type { ProposalStatus, Surface } from '../../src/core/record/proposal'
import type { Lab } from '../../src/core/colour/lab'

// People, places, finishes and looks here are all invented.

export interface DemoKeeper extends Partial<
  Pick<
    PayloadOf<'keep-keeper'>,
    'place' | 'note' | 'varies' | 'replacedBy' | 'viewShare' | 'dearness' | 'walls'
  >
> {
  readonly name: string
  readonly kind: KeeperKind
  readonly state: KeeperState
  /** Read from a photo where one was taken of it, else by a reader. */
  readonly photographed?: boolean
  readonly colours: readonly (readonly [part: string, sharePercent: number, lab: Lab])[]
}

type DemoWindow = Partial<RoomWindow> & Pick<RoomWindow, 'bearingDeg'>
type DemoLamp = Partial<RoomLamp>

export interface DemoRoom {
  readonly name: string
  readonly sizeMm: readonly [northSouth: number, eastWest: number, height: number]
  readonly windows: readonly DemoWindow[]
  readonly lamps: readonly DemoLamp[]
  readonly useHours?: UseHours
  /** Names of rooms that are open to or seen from it. */
  readonly seenFrom?: readonly string[]
  readonly keepers: readonly DemoKeeper[]
  readonly looks: readonly DemoLook[]
  /** Codes proposed for its walls; those looked at are anyway. */
  readonly proposed?: readonly string[]
  /** How some of them stand by now. */
  readonly standing?: readonly (readonly [code: string, status: ProposalStatus, reason?: string])[]
  /** What else of it is painted, and whether it is ruled on. */
  readonly alsoPainted?: readonly (readonly [
    code: string,
    surface: Surface,
    sheen: Sheen,
    ruled: boolean,
  ])[]
  /** Codes of which a board is painted, from eight on the day after the visit. */
  readonly boards?: readonly string[]
  /** What is on its walls now. */
  readonly oldWalls?: Lab
}

export interface DemoLook {
  readonly code: string
  readonly against: string
  readonly light: LightSource
  /** Clock time as minutes after midnight. */
  readonly minute: number
  readonly verdict: Verdict
  readonly reasons: readonly Reason[]
  readonly note: string
  readonly how: LookedHow
}

/** How a look was taken, where not at a board of the candidate's strength. */
export interface LookedHow {
  readonly held?: Held
  readonly heldPercent?: number
  readonly onScreen?: boolean
  /** Where in the room, in plain words. */
  readonly place?: string
  readonly lean?: LeanWord
  readonly client?: PayloadOf<'keep-look'>['client']
}

export interface DemoVisit {
  readonly household: string
  readonly wishes: string
  readonly willNotHave: string
  readonly houseRules: HouseRules
  readonly brief: Pick<
    PayloadOf<'keep-brief'>,
    'wants' | 'contrast' | 'climate' | 'oldPaint' | 'fromMinute' | 'toMinute'
  >
  readonly place: {
    readonly name: string
    readonly latitudeDeg: number
    readonly longitudeDeg: number
    readonly timeZone: string
  }
  readonly date: string
  readonly finished: boolean
  /** Who kept the record. */
  readonly by: string
  readonly candidates: readonly (readonly [code: string, strengthPercent: number])[]
  readonly rooms: readonly DemoRoom[]
}

export const OAK: DemoKeeper = {
  name: 'Oak floor',
  kind: 'floor',
  state: 'staying',
  colours: [['boards', 100, [55, 9, 24]]],
}

export const at = (hours: number, minutes = 0): number => hours * 60 + minutes

export function look(
  code: string,
  against: string,
  [light, minute]: readonly [LightSource, number],
  verdict: Verdict,
  reasons: readonly Reason[] = [],
  note = '',
  how: LookedHow = {},
): DemoLook {
  return { code, against, light, minute, verdict, reasons, note, how }
}

export const NOON = ['room', at(12)] as const
export const LATE = ['room', at(17, 30)] as const
export const LAMPS = ['lamps', at(20)] as const
