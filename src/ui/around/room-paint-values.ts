import { z } from 'zod'
import { WALL_NAMES } from '@/core/light/walls'
import { OWN } from '@/core/paint/measured-for'
import { readTyped, wholeColour } from '@/core/paint/typed-reading'
import { expectedNumber, typedNumber } from '@/core/typed-number'
import { AREA_UNIT, areaM2, type LengthUnits } from '@/core/units'
import { choiceValue, lengthValue, withUntouchedLengths } from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

/** What of a room decides its paint, as its form begins. */
export interface RoomPaintValues {
  /** "62 20 31.5" or "#aabbcc"; empty where nobody has said. */
  readonly oldWalls: string
  readonly skirtingMm: number
  readonly casingMm: number
  readonly featureWall: string
  readonly halfHeightMm: number
  readonly cabinetsM2: number | null
  readonly islandM2: number | null
  readonly otherM2: number | null
}

export const NO_WALL = 'none'

const MOST_AREA = 1000

/** An area somebody typed in these units, kept in square metres; nothing where nobody knows. */
const areaValue = (units: LengthUnits) =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return null
    const value = typedNumber(text)
    if (value !== null && value > 0 && areaM2(value, units) <= MOST_AREA)
      return areaM2(value, units)
    context.addIssue({
      code: 'custom',
      message: expectedNumber(0, MOST_AREA, AREA_UNIT[units], text),
    })
    return z.NEVER
  })

/** What the form comes to. */
export function readRoomPaint(
  form: FormData,
  { visitId, roomId }: { readonly visitId: string; readonly roomId: string },
  units: LengthUnits,
): Filled<'keep-room-paint'> {
  const area = areaValue(units)
  const read = readForm(
    z.object({
      skirtingMm: lengthValue(0, 1000, units),
      casingMm: lengthValue(0, 500, units),
      halfHeightMm: lengthValue(100, 15_000, units),
      featureWall: choiceValue([NO_WALL, ...WALL_NAMES]),
      cabinetsM2: area,
      islandM2: area,
      otherM2: area,
    }),
    withUntouchedLengths(form, units),
  )
  const typed = String(form.get('oldWalls') ?? '').trim()
  const whole = wholeColour(typed)
  const old =
    typed === '' || !whole
      ? null
      : readTyped({
          ...{ by: 'lab', l: '', a: '', b: '', hex: '', spectrum: '', scale: '' },
          measuredFor: OWN,
          ...whole,
        })
  const wrong =
    typed !== '' && !old
      ? `Expected L*, a* and b*, as 62 20 31.5, or a hex, as #c8a27a; got “${typed}”.`
      : old && !old.ok
        ? old.problems[0]!.message
        : null
  if (!read.ok || wrong)
    return {
      ok: false,
      fields: { ...(read.ok ? {} : read.fields), ...(wrong ? { oldWalls: wrong } : {}) },
    }
  const { featureWall, ...rest } = read.data
  return {
    ok: true,
    payload: {
      ...{ visitId, roomId },
      ...rest,
      featureWall: featureWall === NO_WALL ? null : (featureWall as (typeof WALL_NAMES)[number]),
      oldWalls: old && old.ok && old.reading.kind !== 'spectral' ? (old.reading as never) : null,
    },
  }
}
