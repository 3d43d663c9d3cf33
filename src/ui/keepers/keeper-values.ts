import type { WallName } from '@/core/light/walls'
import type { KeeperKind, ViewShare } from '@/core/pairing/keeper-kind'
import type { Texture } from '@/core/pairing/role'
import type { ColourDraft } from './colour-draft'

/** A keeper as its form takes it. */
export interface KeeperValues {
  readonly id: string
  readonly roomId: string
  /** Every room it is in. */
  readonly roomIds: readonly string[]
  readonly name: string
  /** Null until it is said. */
  readonly kind: KeeperKind | null
  readonly state: string
  readonly place: string
  readonly note: string
  readonly varies: boolean
  readonly replacedBy: string
  readonly viewShare: ViewShare
  readonly texture: Texture | null
  readonly walls: readonly WallName[]
  readonly dearness: number | null
  readonly photoHash: string | null
  readonly patchHash: string | null
  readonly colours: readonly ColourDraft[]
}

/** A keeper of which nothing more was said. */
export const PLAIN_VALUES = {
  roomIds: [],
  state: 'staying',
  place: '',
  note: '',
  varies: false,
  replacedBy: '',
  viewShare: 'some',
  texture: null,
  walls: [],
  dearness: null,
  photoHash: null,
  patchHash: null,
} satisfies Partial<KeeperValues>
