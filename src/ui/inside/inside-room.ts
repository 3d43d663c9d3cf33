import type { LitRoom } from '@/core/light/room'
import type { Vector } from '@/core/light/spot'
import type { WallName } from '@/core/light/walls'
import type { RoomDoor } from '@/core/room/doors'
import { PLAIN_WHITE, type RoomPaints } from '@/core/room/furnish'
import type { StandingKeeper } from '@/core/room/usual-places'
import { WHITE_NAME, type WhatIf } from '@/core/room/what-if'

/** What was proposed that a room might have instead. */
export interface KeptWhatIf {
  readonly id: string
  readonly roomId: string
  readonly name: string
  readonly change: WhatIf
  readonly says: string
}

/** One way that a room could be painted. */
export interface InsideOption {
  readonly id: string
  readonly kind: 'now' | 'candidate' | 'scheme'
  readonly words: string
  readonly paints: RoomPaints
}

/** A room as it is put together to be looked at from within; numbers and words only. */
export interface InsideRoom {
  readonly roomId: string
  readonly name: string
  readonly keepers: readonly StandingKeeper[]
  readonly doors: readonly RoomDoor[]
  readonly featureWall: WallName | null
  /** Where lamps hang that somebody has placed, lamp by lamp. */
  readonly lampsAt: readonly (Vector | null)[]
  readonly lampIds: readonly string[]
  /** What was proposed that it might have instead. */
  readonly whatIfs: readonly KeptWhatIf[]
  /** First what is tried, candidate by candidate; then whole schemes. */
  readonly options: readonly InsideOption[]
  /** What nobody has said and was taken as usual, in words. */
  readonly taken: readonly string[]
}

export interface RoomBeyond extends InsideRoom {
  readonly room: LitRoom
}

export interface Inside extends InsideRoom {
  readonly visitId: string
  /** Rooms that it opens to, by the doors. */
  readonly beyond: readonly RoomBeyond[]
}

/** A way to paint a room, with what is different in a what-if. */
export function withWhatIf(
  option: InsideOption,
  whatIf: WhatIf,
  { options }: Inside,
): InsideOption {
  const colourOf = (name: string | null) =>
    name === null
      ? null
      : name === WHITE_NAME
        ? PLAIN_WHITE
        : (options.find(({ id }) => id === name)?.paints.walls ?? null)
  const { paints } = option
  return {
    ...option,
    id: `${option.id} ${JSON.stringify(whatIf)}`,
    words: `${option.words}, with what if`,
    paints: {
      ...paints,
      ceiling: colourOf(whatIf.ceiling) ?? paints.ceiling,
      floor: colourOf(whatIf.floor),
      cabinets: colourOf(whatIf.cabinets),
    },
  }
}
