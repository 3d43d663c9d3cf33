import type { RoomToSee } from '@/core/record/progress'

/** The order of work, which is the order of the spine. */
export const ROOM_STEPS = [
  'light',
  'keepers',
  'lead',
  'shortlist',
  'trial',
  'bench',
  'sheet',
] as const
export type RoomStep = (typeof ROOM_STEPS)[number]

export const STEP_WORDS: Record<RoomStep | 'brief' | 'plan' | 'grid' | 'history', string> = {
  brief: 'Brief',
  plan: 'Day plan',
  light: 'Light',
  keepers: 'Keepers',
  lead: 'Lead',
  shortlist: 'Shortlist',
  trial: 'On trial',
  bench: 'Bench',
  grid: 'House grid',
  sheet: 'Sheet',
  history: 'History',
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
}
