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
  'sheet',
] as const
export type RoomStep = (typeof ROOM_STEPS)[number]

/** Steps of the house as a whole. */
export const HOUSE_STEPS = [
  'brief',
  'plan',
  'grid',
  'together',
  'fetch',
  'sheets',
  'history',
] as const
export type HouseStep = (typeof HOUSE_STEPS)[number]

export const STEP_WORDS: Record<RoomStep | HouseStep, string> = {
  brief: 'Brief',
  plan: 'Day plan',
  light: 'Light',
  keepers: 'Keepers',
  lead: 'Lead',
  shortlist: 'Shortlist',
  trial: 'On trial',
  bench: 'Bench',
  boards: 'Boards',
  around: 'Around it',
  ruling: 'Ruling',
  grid: 'House grid',
  together: 'Doorways',
  fetch: 'Fetch list',
  sheet: 'Record',
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
