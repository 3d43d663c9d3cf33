import { randomUUID } from 'node:crypto'
import { addLamp, addWindow, removeFitting, saveRoomSize } from '@/app/_actions/room'
import { loadRoom } from '@/app/_load/visit-page'
import { daySentences } from '@/core/light/light-words'
import { dayRibbon } from '@/core/light/ribbon'
import { RoomLightView } from '@/ui/room/room-light-view'

export const metadata = { title: 'Light' }

export default async function LightPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { room, roomDay, visit } = await loadRoom(visitId, roomId)
  return (
    <RoomLightView
      room={room}
      houseRules={visit.houseRules}
      sentences={daySentences(room, roomDay.day, dayRibbon(roomDay, 'clear'))}
      freshIds={[randomUUID(), randomUUID()]}
      actions={{ saveRoomSize, addWindow, addLamp, removeFitting }}
    />
  )
}
