import { compassWord } from '@/core/light/aspect'
import { CURTAINS, GLAZINGS, OPPOSITES, SOLID, type Glazing } from '@/core/light/fittings'
import { PLAIN_WINDOW, type RoomWindow } from '@/core/light/room'
import { lengthWords, type LengthUnits } from '@/core/units'
import type { LightRoom } from './light-room'

/** What stands in a wall or in the roof: a window, or a door that lets no light in. */
export type Opening = Omit<RoomWindow, 'glazing'> & {
  readonly id: string
  readonly glazing: Glazing | typeof SOLID
}

export const OPENING_KINDS = ['window', 'glazed door', 'door', 'roof window'] as const
export type OpeningKind = (typeof OPENING_KINDS)[number]

// Ordinary sizes, common practice.
const PLAIN: Record<OpeningKind, Omit<Opening, 'id' | 'bearingDeg'>> = {
  window: PLAIN_WINDOW,
  'glazed door': { ...PLAIN_WINDOW, widthMm: 900, heightMm: 2050, sillMm: 0 },
  door: { ...PLAIN_WINDOW, widthMm: 800, heightMm: 2000, sillMm: 0, glazing: SOLID },
  'roof window': { ...PLAIN_WINDOW, widthMm: 780, heightMm: 1180, sillMm: 1200, pitchDeg: 45 },
}

/** What an opening of a kind has until somebody says otherwise. */
export const plainOpening = (kind: OpeningKind): Omit<Opening, 'id' | 'bearingDeg'> => PLAIN[kind]

export function kindOfOpening({
  glazing,
  sillMm,
  pitchDeg,
}: Pick<Opening, 'glazing' | 'sillMm' | 'pitchDeg'>): OpeningKind {
  if (glazing === SOLID) return 'door'
  if (pitchDeg < 90) return 'roof window'
  return sillMm === 0 ? 'glazed door' : 'window'
}

/** Windows and doors of a room. */
export const openingsOf = ({ windows, doors }: LightRoom): readonly Opening[] => [
  ...windows,
  ...doors.map((door) => ({ ...PLAIN.door, ...door })),
]

const KIND_WORDS: Record<OpeningKind, string> = {
  window: 'Window',
  'glazed door': 'Glazed door',
  door: 'Door',
  'roof window': 'Roof window',
}

/** An opening in a line. */
export function openingWords(opening: Opening, units: LengthUnits): string {
  const { bearingDeg, widthMm, heightMm, pitchDeg, glazing, curtain, opposite } = opening
  const { oppositeDeg, overhangMm, alongPercent } = opening
  const kind = kindOfOpening(opening)
  return [
    `${KIND_WORDS[kind]}, faces ${compassWord(bearingDeg)}, ${Math.round(bearingDeg)}°: ${lengthWords(widthMm, units)} wide, ${lengthWords(heightMm, units)} high`,
    ...(alongPercent == null ? [] : [`its middle at ${alongPercent} % of the wall`]),
    ...(pitchDeg < 90 ? [`at ${pitchDeg}°`] : []),
    ...(glazing === SOLID || glazing === PLAIN_WINDOW.glazing ? [] : [GLAZINGS[glazing].words]),
    ...(curtain === 'none' ? [] : [CURTAINS[curtain].words]),
    ...(opposite === 'sky' ? [] : [`${OPPOSITES[opposite].words} opposite, ${oppositeDeg}° high`]),
    ...(overhangMm > 0 ? [`overhang ${lengthWords(overhangMm, units)}`] : []),
  ].join(', ')
}
