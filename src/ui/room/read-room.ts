import { z } from 'zod'
import {
  BULBS,
  CURTAINS,
  GLAZINGS,
  GROUNDS,
  kindsOf,
  LAMP_PLACES,
  OPPOSITES,
  SOLID,
} from '@/core/light/fittings'
import { USE_HOURS } from '@/core/light/use-hours'
import { TREATMENTS } from '@/core/paint/treatment'
import type { LengthUnits } from '@/core/units'
import { capital } from '@/core/words'
import {
  bearingValue,
  choiceValue,
  lengthValue,
  nameValue,
  numberValue,
  withUntouchedLengths,
} from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

const roomFields = (units: LengthUnits) =>
  z.object({
    visitId: z.uuid(),
    roomId: z.uuid(),
    name: nameValue('a name for the room').transform(capital),
    northSouthMm: lengthValue(500, 50_000, units),
    eastWestMm: lengthValue(500, 50_000, units),
    heightMm: lengthValue(1500, 15_000, units),
    northDeg: numberValue(-45, 45, '°'),
    useHours: choiceValue(USE_HOURS),
    treatment: choiceValue(TREATMENTS),
    seenFrom: z.array(z.uuid()),
  })

/** What the form of a room comes to. */
export function readRoom(form: FormData, units: LengthUnits): Filled<'keep-room'> {
  const read = readForm(roomFields(units), withUntouchedLengths(form, units), ['seenFrom'])
  return read.ok ? { ok: true, payload: read.data } : read
}

const windowFields = (units: LengthUnits) =>
  z.object({
    visitId: z.uuid(),
    roomId: z.uuid(),
    windowId: z.uuid(),
    bearingDeg: bearingValue,
    widthMm: lengthValue(100, 50_000, units),
    heightMm: lengthValue(100, 15_000, units),
    sillMm: lengthValue(0, 15_000, units),
    pitchDeg: numberValue(0, 90, '°').transform(Math.round),
    glazing: choiceValue([...kindsOf(GLAZINGS), SOLID]),
    curtain: choiceValue(kindsOf(CURTAINS)),
    overhangMm: lengthValue(0, 10_000, units),
    opposite: choiceValue(kindsOf(OPPOSITES)),
    oppositeDeg: numberValue(0, 85, '°').transform(Math.round),
    ground: choiceValue(kindsOf(GROUNDS)),
    alongPercent: z
      .string()
      .trim()
      .transform((text) => text || null)
      .pipe(numberValue(0, 100, '%').nullable()),
  })

/** What the form of a window comes to. */
export function readWindow(form: FormData, units: LengthUnits): Filled<'keep-window'> {
  const read = readForm(windowFields(units), withUntouchedLengths(form, units))
  return read.ok ? { ok: true, payload: read.data } : read
}

const LampFields = z.object({
  visitId: z.uuid(),
  roomId: z.uuid(),
  lampId: z.uuid(),
  bulb: choiceValue(kindsOf(BULBS)),
  cctK: numberValue(1500, 10_000, 'K').transform(Math.round),
  lumens: numberValue(10, 100_000, 'lm').transform(Math.round),
  place: choiceValue(kindsOf(LAMP_PLACES)),
  evening: z.literal('on').optional().transform(Boolean),
})

/** What the form of a lamp comes to. */
export function readLamp(form: FormData): Filled<'keep-lamp'> {
  const read = readForm(LampFields, form)
  return read.ok ? { ok: true, payload: read.data } : read
}
