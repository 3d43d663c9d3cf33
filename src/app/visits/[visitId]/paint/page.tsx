import { redirect } from 'next/navigation'
import { PaintBeforeRoom } from '@/app/_load/paint-before-room'
import { paintOfAddress, type PaintQuery } from '@/app/_load/paint-address'
import { loadVisit } from '@/app/_load/visit-page'

export const metadata = { title: 'A paint' }

/** A paint of a visit: in its first room, or before there is one. */
export default async function VisitPaintPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string }>
  searchParams: Promise<PaintQuery>
}) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  const asked = await searchParams
  if (rooms[0]) {
    const query = new URLSearchParams(Object.entries(asked)).toString()
    redirect(`/visits/${visit.id}/rooms/${rooms[0].id}/trial${query ? `?${query}` : ''}`)
  }
  return <PaintBeforeRoom opening={paintOfAddress(asked)} visit={visit} />
}
