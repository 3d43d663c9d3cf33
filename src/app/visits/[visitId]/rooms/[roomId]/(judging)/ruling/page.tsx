import { loadRoomRuling } from '@/app/_load/room-ruling'
import { Link } from '@/ui/frame/page-link'
import { RulingView } from '@/ui/ruling/ruling-view'

export const metadata = { title: 'Ruling' }

export default async function RulingPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<{ surface?: string }>
}) {
  const { visitId, roomId } = await params
  const page = await loadRoomRuling(visitId, roomId, (await searchParams).surface)
  if (page.surfaces.length === 0)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">Nothing to rule on yet</h1>
        <p className="my-3">Propose a colour for a surface of this room, and look at it first.</p>
        <Link href="shortlist" className="key key-first">
          Propose a colour for this room
        </Link>
      </main>
    )
  return (
    <RulingView
      key={page.surface}
      visitId={page.visit.id}
      roomId={page.room.id}
      surfaces={page.surfaces}
      surface={page.surface}
      keepers={page.keepers}
      candidates={page.entries}
      ruling={page.ruling}
      earlier={page.earlier}
      compromise={page.compromise}
      house={page.house}
    />
  )
}
