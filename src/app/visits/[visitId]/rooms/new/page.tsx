import { randomUUID } from 'node:crypto'
import { loadVisit } from '@/app/_load/visit-page'
import { ReadingPage } from '@/ui/frame/reading-page'
import { plainRoom } from '@/ui/room/plain-room'
import { RoomForm } from '@/ui/room/room-form'

export const metadata = { title: 'New room' }

export default async function NewRoomPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  const id = randomUUID()
  return (
    <ReadingPage>
      <h1 className="text-head">New room</h1>
      <p className="mt-1 text-dim">Name and size; the window comes next, and with it the light.</p>
      <RoomForm
        // Rooms of one house mostly stand as one.
        room={{ ...plainRoom(visit.id, id, '', rooms.at(-1)?.northDeg), id }}
        otherRooms={rooms.map(({ id, name }) => ({ id, name }))}
        submit="Add the room"
        goTo={`/visits/${visit.id}/rooms/${id}/light`}
      />
    </ReadingPage>
  )
}
