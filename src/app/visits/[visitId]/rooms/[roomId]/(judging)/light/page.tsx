import { candidatePaint } from '@/app/_load/paints'
import { isUpIn, loadCandidates, loadDecks, loadReadings, loadRoom } from '@/app/_load/visit-page'
import { COMPARATORS } from '@/core/undertone/comparators'
import { RoomLightView } from '@/ui/room/room-light-view'

export const metadata = { title: 'Light' }

export default async function LightPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { room, rooms, visit } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  const readings = await loadReadings(visit.id)
  const candidates = (await loadCandidates(visit.id))
    .filter((each) => isUpIn(each, room.id))
    .map((candidate) => {
      const { id, name, strengthPercent, reflectance } = candidatePaint(candidate, decks)
      return { id, name: `${name} at ${strengthPercent} %`, reflectance }
    })
  return (
    <RoomLightView
      room={room}
      otherRooms={rooms
        .filter(({ id }) => id !== room.id)
        .map(({ id, name, windows, lamps }) => ({
          id,
          name,
          isSetUp: windows.length + lamps.length > 0,
        }))}
      houseRules={visit.houseRules}
      readings={readings.filter((reading) => reading.roomId === room.id)}
      // Before any candidate is taken up, the reference colours are carried.
      samples={
        candidates.length > 0
          ? candidates
          : COMPARATORS.map(({ name, reflectance }) => ({ id: name, name, reflectance }))
      }
    />
  )
}
