import type { LightChoice } from '../light/light-choice'
import type { Look, Seen } from './look'
import type { Reason, Verdict } from './verdict'

export const BOARD: Seen = { as: 'sample', held: 'board', strengthPercent: 75 }
export const CHIP: Seen = { as: 'sample', held: 'chip', strengthPercent: 75 }
export const FULL_CHIP: Seen = { as: 'sample', held: 'chip', strengthPercent: 100 }
export const FULL_SWATCH: Seen = { as: 'sample', held: 'large swatch', strengthPercent: 100 }
export const HALF_SWATCH: Seen = { as: 'sample', held: 'large swatch', strengthPercent: 50 }
export const SCREEN: Seen = { as: 'screen' }
export const OLD: Seen = { as: 'not noted' }

export interface GivenLook extends Partial<LightChoice> {
  readonly beside?: string
  readonly part?: string
  readonly date?: string
  readonly place?: string
  readonly seen?: Seen
  readonly reasons?: readonly Reason[]
  readonly retracted?: boolean
  readonly client?: 'no' | 'yes'
}

/** A look at a 75 % candidate on a board beside the stone, at noon on 21 June, unless something else is said. */
export const look = (verdict: Verdict, given: GivenLook = {}): Look => ({
  id: '',
  roomId: 'kitchen',
  candidate: { candidateId: 'fawn', strengthPercent: 75, sheen: 'matt' },
  against: { kind: 'keeper', keeperId: given.beside ?? 'stone', part: given.part ?? null },
  seen: given.seen ?? BOARD,
  light: {
    source: given.source ?? 'room',
    date: given.date ?? '2026-06-21',
    minute: given.minute ?? 720,
    sky: given.sky ?? 'clear',
    lampsOn: given.lampsOn ?? false,
    spot: given.spot ?? 'walls',
    place: given.place ?? '',
    metered: null,
  },
  verdict,
  reasons: given.reasons ?? [],
  bestOf: [],
  lean: null,
  note: '',
  client: given.client ? { says: given.client, words: '' } : null,
  photoHash: null,
  by: 'Ines Tarrow',
  madeAt: '2026-06-21T12:00:00Z',
  modelSeenBefore: false,
  model: null,
  retracted: given.retracted ?? false,
})

/** Under the lamps alone, in the evening. */
export const LAMPS = { source: 'lamps', minute: 1150 } as const
