import { randomUUID } from 'node:crypto'
import { dropReading, keepReading } from '@/app/_actions/meter'
import { addLamp, addWindow, removeFitting, saveRoomSize } from '@/app/_actions/room'
import { candidatePaint } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { COMPARATORS } from '@/core/undertone/comparators'
import { listCandidates } from '@/db/candidates'
import { listDecks } from '@/db/decks'
import { listMeterReadings } from '@/db/meter-readings'
import { openDb } from '@/db/store'
import { RoomLightView } from '@/ui/room/room-light-view'

export const metadata = { title: 'Light' }

export default async function LightPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { room, rooms, visit } = await loadRoom(visitId, roomId)
  const db = await openDb()
  const decks = await listDecks(db)
  const readings = await listMeterReadings(db, visit.id)
  const candidates = (await listCandidates(db, visit.id)).map((candidate) => {
    const { id, name, strengthPercent, reflectance } = candidatePaint(candidate, decks)
    return { id, name: `${name} at ${strengthPercent} %`, reflectance }
  })
  return (
    <RoomLightView
      room={room}
      otherRooms={rooms.filter(({ id }) => id !== room.id).map(({ id, name }) => ({ id, name }))}
      houseRules={visit.houseRules}
      visitDate={visit.visitDate}
      readings={readings.filter((reading) => reading.roomId === room.id)}
      // Before any candidate is taken up, the reference colours are carried.
      samples={
        candidates.length > 0
          ? candidates
          : COMPARATORS.map(({ name, reflectance }) => ({ id: name, name, reflectance }))
      }
      freshIds={[randomUUID(), randomUUID(), randomUUID()]}
      actions={{ saveRoomSize, addWindow, addLamp, removeFitting, keepReading, dropReading }}
    />
  )
}
