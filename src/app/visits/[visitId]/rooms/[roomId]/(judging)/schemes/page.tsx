import { loadRoomSchemes } from '@/app/_load/room-schemes'
import { SchemesView } from '@/ui/schemes/schemes-view'

export const metadata = { title: 'Schemes' }

export default async function SchemesPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room, schemes, keepers, stands, eye } = await loadRoomSchemes(visitId, roomId)
  return <SchemesView visitId={visit.id} roomId={room.id} {...{ schemes, keepers, stands, eye }} />
}
