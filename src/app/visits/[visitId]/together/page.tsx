import { loadTogether } from '@/app/_load/together'
import { hallwayOf } from '@/core/scheme/doorways'
import { zoneClock } from '@/time/local-day'
import { Link } from '@/ui/frame/page-link'
import { LightBar } from '@/ui/light-bar/light-bar'
import { LightProvider } from '@/ui/light-bar/light-context'
import { TogetherView } from '@/ui/together/together-view'

export const metadata = { title: 'Room to room' }

export default async function TogetherPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit, decks, rooms, eye } = await loadTogether((await params).visitId)
  // The bar has the day of the room that joins the others, else of the first.
  const first = hallwayOf(rooms) ?? rooms[0]
  if (!first)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">No room yet</h1>
        <p className="my-3">How rooms get on is seen once there are two.</p>
        <Link href={`/visits/${visit.id}/rooms/new`} className="key key-first">
          Add a room
        </Link>
      </main>
    )
  return (
    <LightProvider roomDay={first.roomDay} zone={zoneClock(visit.timeZone, visit.visitDate)}>
      <TogetherView visitId={visit.id} {...{ rooms, decks, eye }} rules={visit.houseRules} />
      <LightBar />
    </LightProvider>
  )
}
