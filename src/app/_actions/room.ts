'use server'

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
import { wallWidthMm } from '@/core/light/room'
import { USE_HOURS } from '@/core/light/use-hours'
import { TREATMENTS } from '@/core/paint/treatment'
import { sqlState, UNIQUE_VIOLATION } from '@/db/db'
import {
  duplicateRoom,
  getRoom,
  orderRooms,
  removeLamp,
  removeWindow,
  saveLamp,
  saveRoom,
  saveSights,
  saveWindow,
  setRoomRemoved,
} from '@/db/rooms'
import { openDb } from '@/db/store'
import type { ActionResult } from '@/ui/form/action-result'
import { bearingValue, choiceValue, metresValue, nameValue, numberValue } from './form-values'
import { kept, refused } from './result'

const RoomForm = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  name: nameValue('a name for the room'),
  northSouthMm: metresValue(0.5, 50),
  eastWestMm: metresValue(0.5, 50),
  heightMm: metresValue(1.5, 15),
  useHours: choiceValue(USE_HOURS).default('daytime'),
  treatment: choiceValue(TREATMENTS).default('plain'),
  goTo: z.string().startsWith('/visits/').optional(),
})

/** Keeps a room's name and size. */
export async function saveRoomSize(form: FormData): Promise<ActionResult> {
  const input = RoomForm.safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  const { goTo, ...room } = input.data
  const seenFrom = z.array(z.uuid()).safeParse(form.getAll('seenFrom'))
  if (!seenFrom.success) return refused(seenFrom.error)
  const db = await openDb()
  const tooWide = (await windowsOf(room.id)).find(
    (window) => window.widthMm > wallWidthMm(room, window.bearingDeg),
  )
  if (tooWide)
    return {
      ok: false,
      message: `The window at ${tooWide.bearingDeg}° is ${metres(tooWide.widthMm)} wide: the wall it stands in cannot be narrower.`,
    }
  try {
    await saveRoom(db, room)
    await saveSights(db, room.id, seenFrom.data)
  } catch (error) {
    if (sqlState(error) === UNIQUE_VIOLATION)
      return { ok: false, fields: { name: `This visit has a room “${room.name}” already.` } }
    throw error
  }
  return kept(goTo)
}

async function windowsOf(roomId: string) {
  const db = await openDb()
  const room = await getRoom(db, roomId).catch(() => null)
  return room?.windows ?? []
}

const WindowForm = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
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
})

/** Adds a window to a room. */
export async function addWindow(form: FormData): Promise<ActionResult> {
  const input = WindowForm.safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  const { roomId, ...window } = input.data
  const db = await openDb()
  const room = await getRoom(db, roomId)
  const wall = wallWidthMm(room, window.bearingDeg)
  if (window.widthMm > wall)
    return {
      ok: false,
      fields: {
        widthMm: `Expected at most ${metres(wall)}, the width of that wall, got ${metres(window.widthMm)}.`,
      },
    }
  if (window.pitchDeg === 90 && window.heightMm + window.sillMm > room.heightMm)
    return {
      ok: false,
      fields: {
        heightMm: `Expected sill and height together at most ${metres(room.heightMm)}, the height of the room, got ${metres(window.heightMm + window.sillMm)}.`,
      },
    }
  await saveWindow(db, roomId, window)
  return kept()
}

const metres = (mm: number): string => `${(mm / 1000).toFixed(2)} m`

const LampForm = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  bulb: choiceValue(kindsOf(BULBS)),
  cctK: numberValue(1500, 10_000, 'K').transform(Math.round),
  lumens: numberValue(10, 100_000, 'lm').transform(Math.round),
  place: choiceValue(kindsOf(LAMP_PLACES)),
  evening: z.literal('on').optional().transform(Boolean),
})

/** Adds a lamp to a room. */
export async function addLamp(form: FormData): Promise<ActionResult> {
  const input = LampForm.safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  const { roomId, ...lamp } = input.data
  await saveLamp(await openDb(), roomId, lamp)
  return kept()
}

const RemoveForm = z.object({ id: z.uuid(), what: z.enum(['window', 'lamp']) })

/** Takes a window or a lamp out of its room. */
export async function removeFitting(form: FormData): Promise<ActionResult> {
  const input = RemoveForm.safeParse(Object.fromEntries(form))
  if (!input.success) return refused(input.error)
  const db = await openDb()
  await (input.data.what === 'window' ? removeWindow : removeLamp)(db, input.data.id)
  return kept()
}

/** Puts the rooms of a visit in an order. */
export async function orderVisitRooms(
  visitId: string,
  roomIds: readonly string[],
): Promise<ActionResult> {
  const input = z
    .object({ visitId: z.uuid(), roomIds: z.array(z.uuid()) })
    .safeParse({ visitId, roomIds })
  if (!input.success) return refused(input.error)
  await orderRooms(await openDb(), input.data.visitId, input.data.roomIds)
  return kept()
}

/** Copies a room with its windows and lamps. */
export async function copyRoom(
  roomId: string,
  copyId: string,
  name: string,
): Promise<ActionResult> {
  const input = z
    .object({ roomId: z.uuid(), copyId: z.uuid(), name: nameValue('a name for the room') })
    .safeParse({ roomId, copyId, name })
  if (!input.success) return refused(input.error)
  await duplicateRoom(await openDb(), input.data.roomId, input.data.copyId, input.data.name)
  return kept()
}

/** Takes a room out of its visit or puts it back; nothing of its record is lost. */
export async function takeOutRoom(roomId: string, removed: boolean): Promise<ActionResult> {
  const input = z.object({ roomId: z.uuid(), removed: z.boolean() }).safeParse({ roomId, removed })
  if (!input.success) return refused(input.error)
  try {
    await setRoomRemoved(await openDb(), input.data.roomId, input.data.removed)
  } catch (error) {
    if (sqlState(error) === UNIQUE_VIOLATION)
      return { ok: false, message: 'Another room has its name by now; rename that one first.' }
    throw error
  }
  return kept()
}
