import { loadVisit } from '@/app/_load/visit-page'
import { BriefForm } from '@/ui/brief/brief-form'
import { RoomList } from '@/ui/room/room-list'
import { aspectOf } from '@/core/light/aspect'
import { FinishVisit } from '@/ui/brief/finish-visit'
import { ReadingPage } from '@/ui/frame/reading-page'

export default async function BriefPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  return (
    <ReadingPage wide>
      <div className="flex flex-wrap items-baseline justify-between gap-4">
        <h1 className="text-head">{visit.household}</h1>
        <FinishVisit visitId={visit.id} finished={visit.stage === 'finished'} />
      </div>
      <BriefForm
        key={visit.id}
        visit={visit}
        submit="Save the brief"
        rooms={
          <RoomList
            visitId={visit.id}
            northDeg={rooms.at(-1)?.northDeg ?? 0}
            rooms={rooms.map((room) => ({
              id: room.id,
              name: room.name,
              words: aspectOf(room).join(' and ') || 'no window yet',
            }))}
          />
        }
      />
    </ReadingPage>
  )
}
