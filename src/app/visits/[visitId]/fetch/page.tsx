import { redirect } from 'next/navigation'
import { loadFetchList } from '@/app/_load/fetch-list'
import { loadVisit } from '@/app/_load/visit-page'

/** What is to be fetched stands with the samples of the first room that wants some. */
export default async function FetchListPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  const { toFetch } = await loadFetchList(visit.id)
  const roomId = toFetch[0]?.wanted[0]?.roomId ?? rooms[0]?.id
  redirect(`/visits/${visit.id}/${roomId ? `rooms/${roomId}/boards` : 'brief'}`)
}
