import Link from 'next/link'
import { loadVisit } from '@/app/_load/visit-page'
import { BriefForm } from '@/ui/brief/brief-form'
import { RoomList } from '@/ui/room/room-list'
import { aspectOf } from '@/core/light/aspect'
import { USE_HOURS_WORDS } from '@/core/light/use-hours'
import { FinishVisit } from '@/ui/brief/finish-visit'
import { ReadingPage } from '@/ui/frame/reading-page'

export default async function BriefPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  return (
    <ReadingPage>
      <div className="flex flex-wrap items-baseline justify-between gap-4">
        <h1 className="text-head">{visit.household}</h1>
        <FinishVisit visitId={visit.id} finished={visit.stage === 'finished'} />
      </div>
      {rooms.length === 0 && (
        <p className="mt-4 flex flex-wrap items-center gap-4 border-y border-ink py-3">
          Next: a room, from its window on.
          <Link href={`/visits/${visit.id}/rooms/new`} className="key key-first">
            Add the first room
          </Link>
        </p>
      )}
      {rooms.length > 0 && (
        <RoomList
          visitId={visit.id}
          rooms={rooms.map((room) => ({
            id: room.id,
            name: room.name,
            words: `${aspectOf(room).join(' and ') || 'no window'}, used most ${USE_HOURS_WORDS[room.useHours]}`,
          }))}
        />
      )}
      <BriefForm key={visit.id} visit={visit} submit="Keep the brief" />
    </ReadingPage>
  )
}
