/** Schools on a cool north room; see the house rules in docs/model.md. */
export const NORTH_ROOM_RULES = ['warm-up', 'lean-in', 'no-whites'] as const
export type NorthRoomRule = (typeof NORTH_ROOM_RULES)[number]

export const NORTH_ROOM_WORDS: Record<NorthRoomRule, string> = {
  'warm-up': 'Warm it up',
  'lean-in': 'Lean into the cool',
  'no-whites': 'No whites at all',
}

/** The weakest strength a consultant will take a colour at, per cent. */
export const WEAKEST_STRENGTHS_PERCENT = [50, 25] as const

export const DEFAULT_NORTH_ROOM_RULE: NorthRoomRule = 'warm-up'
export const DEFAULT_WEAKEST_STRENGTH_PERCENT = 50
