import type { RoomCharacter } from './room-character'

/** A room that asks for nothing in particular: neither dim nor bright, nothing wished for. */
export const ORDINARY_ROOM: RoomCharacter = {
  daylightFactorPercent: 3,
  coolAndEven: false,
  hasCarpet: false,
  lamps: { cctK: 2700, illuminanceLux: 100 },
  useHours: 'all-day',
  climate: 'mixed',
  wants: [],
  contrast: 'open',
  willNotHave: '',
}
