import type { RoomSoFar } from '@/core/record/next-step'
import type { RoomToSee } from '@/core/record/progress'

/** The order of work, which is the order of the spine. */
export const ROOM_STEPS = [
  'light',
  'keepers',
  'lead',
  'shortlist',
  'trial',
  'bench',
  'boards',
  'around',
  'ruling',
] as const
export type RoomStep = (typeof ROOM_STEPS)[number]

/** Steps of the visit, before any room. */
export const VISIT_STEPS = ['brief', 'plan'] as const
/** Steps of the house as a whole. */
export const HOUSE_STEPS = ['grid', 'together', 'sheets', 'history'] as const
export type HouseStep = (typeof VISIT_STEPS | typeof HOUSE_STEPS)[number]

export const STEP_WORDS: Record<RoomStep | HouseStep, string> = {
  brief: 'Brief',
  plan: 'Day plan',
  light: 'Light',
  keepers: 'Keepers',
  lead: 'Schemes',
  shortlist: 'Shortlist',
  trial: 'A paint',
  bench: 'Bench',
  boards: 'Samples',
  around: 'Around it',
  ruling: 'Ruling',
  grid: 'House grid',
  together: 'Doorways',
  sheets: 'Sheets',
  history: 'History',
}

/** A step as the spine, or a chooser, shows it. */
export interface Step {
  readonly href: string
  readonly here: boolean
  readonly word: string
  /** What is done or missing. */
  readonly done: string
  /** Not needed yet: shown quietly. */
  readonly quiet: boolean
}

/** Steps that belong together, under their heading. */
export interface StepGroup {
  readonly heading: string
  readonly steps: readonly Step[]
}

/** A room as the frame around every page shows it. */
export interface FrameRoom {
  readonly id: string
  readonly name: string
  /** Compass directions in degrees; empty without a window. */
  readonly bearingsDeg: readonly number[]
  readonly aspectWords: string
  readonly dimness: string
  /** Under each step of the spine: what is done or missing; what was looked at is counted in the browser. */
  readonly done: Readonly<Record<Exclude<RoomStep, 'bench'>, string>>
  readonly toSee: RoomToSee
  /** For the next step: what else of the room is known. */
  readonly soFar: Omit<RoomSoFar, 'id' | 'name' | 'keepers' | 'candidates' | 'pairs'>
}

/** Something that one can go to by its name. */
export interface Destination {
  readonly kind: 'step' | 'visit' | 'room' | 'keeper' | 'candidate'
  readonly href: string
  readonly name: string
  /** Which of its kind: the room, the strength. */
  readonly says: string
}
