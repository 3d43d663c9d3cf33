import { z } from 'zod'
import {
  BULBS,
  CURTAINS,
  GLAZINGS,
  GROUNDS,
  kindsOf,
  LAMP_PLACES,
  OPPOSITES,
} from '@/core/light/fittings'
import { USE_HOURS } from '@/core/light/use-hours'
import { TREATMENTS } from '@/core/paint/treatment'
import { bearingValue, choiceValue, metresValue, nameValue, numberValue } from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

const RoomFields = z.object({
  visitId: z.uuid(),
  roomId: z.uuid(),
  name: nameValue('a name for the room'),
  northSouthMm: metresValue(0.5, 50),
  eastWestMm: metresValue(0.5, 50),
  heightMm: metresValue(1.5, 15),
  northDeg: numberValue(-45, 45, '°'),
  useHours: choiceValue(USE_HOURS),
  treatment: choiceValue(TREATMENTS),
  seenFrom: z.array(z.uuid()),
})

/** What the form of a room comes to. */
export function readRoom(form: FormData): Filled<'keep-room'> {
  const read = readForm(RoomFields, form, ['seenFrom'])
  return read.ok ? { ok: true, payload: read.data } : read
}

const WindowFields = z.object({
  visitId: z.uuid(),
  roomId: z.uuid(),
  windowId: z.uuid(),
  bearingDeg: bearingValue,
  widthMm: metresValue(0.1, 50),
  heightMm: metresValue(0.1, 15),
  sillMm: metresValue(0, 15),
  pitchDeg: numberValue(0, 90, '°').transform(Math.round),
  glazing: choiceValue(kindsOf(GLAZINGS)),
  curtain: choiceValue(kindsOf(CURTAINS)),
  overhangMm: metresValue(0, 10),
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
export function readWindow(form: FormData): Filled<'keep-window'> {
  const read = readForm(WindowFields, form)
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
