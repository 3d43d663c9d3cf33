import { cautionsOf, ON_SAFETY } from './cautions'
import { capital } from '../words'
import { paintCalled, type HandedPaint, type HandOff } from './hand-off'
import type { SheetDocument, SheetSwatch } from './sheet-document'

/** A room's walls among the others. */
export interface HouseWall {
  readonly room: string
  /** "light", "bridging", "deep". */
  readonly part: string
  readonly paint: HandedPaint
  readonly swatch: SheetSwatch
  /** "picked", "going to board". */
  readonly status: string
}

/** Two rooms that are seen from one another. */
export interface HouseDoorway {
  readonly rooms: string
  readonly judgement: string
  readonly step: string
}

/** The whole house on one sheet: its walls from light to deep, what runs through them, and each doorway. */
export function houseSheet(
  house: HandOff,
  walls: readonly HouseWall[],
  thread: string,
  doorways: readonly HouseDoorway[],
): SheetDocument {
  return {
    ...house.head,
    title: 'The house at a glance',
    blocks: [
      { kind: 'text', text: thread, isStrong: true },
      ...walls.map(({ room, part, paint, swatch, status }) => ({
        kind: 'entry' as const,
        swatch,
        title: `${room}: ${paint.name}`,
        figures: `${paint.code}, ${paint.maker}, ${paint.deck}, LRV ${Math.round(paint.lrvPercent)} %`,
        lines: [`${capital(part)}; ${paintCalled(paint)}, ${status}.`],
      })),
      ...(doorways.length > 0
        ? [
            { kind: 'heading' as const, text: 'From room to room' },
            {
              kind: 'table' as const,
              title: 'Doorways',
              columns: [
                { title: 'Rooms', width: 35 },
                { title: 'Together, at midday', width: 30 },
                { title: 'Step', width: 35 },
              ],
              rows: doorways.map(({ rooms, judgement, step }) => [rooms, judgement, step]),
            },
          ]
        : []),
      ...cautionsOf(['sheens'], house).map((text) => ({ kind: 'caution' as const, text })),
      { kind: 'signature', lines: [`Colour consultant, ${house.head.consultant}`] },
    ],
    foot: `A screen and a print are not paint: judge from dry boards of two coats. ${ON_SAFETY}`,
  }
}
