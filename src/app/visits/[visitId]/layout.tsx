import type { Metadata } from 'next'
import { aspectOf } from '@/core/light/aspect'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { daylightFactorPercent, dimness } from '@/core/light/room'
import { listCandidates } from '@/db/candidates'
import { listKeepers } from '@/db/keepers'
import { listLooks } from '@/db/looks'
import { openDb } from '@/db/store'
import { findVisitById, loadVisit } from '@/app/_load/visit-page'
import type { FrameRoom } from '@/ui/frame/steps'
import { VisitFrame } from '@/ui/frame/visit-frame'

interface Props {
  readonly children: React.ReactNode
  readonly params: Promise<{ visitId: string }>
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const visit = await findVisitById((await params).visitId)
  return { title: visit?.household ?? 'Nothing here' }
}

export default async function VisitLayout({ children, params }: Props) {
  const { visit, rooms } = await loadVisit((await params).visitId)
  const db = await openDb()
  const keepers = await listKeepers(db, visit.id)
  const candidates = await listCandidates(db, visit.id)
  const looks = (await listLooks(db, visit.id)).filter((look) => !look.retracted)

  const frameRooms = rooms.map((room): FrameRoom => {
    const judged = keepers.filter((k) => k.roomIds.includes(room.id) && isJudgedAgainst(k.state))
    const seen = looks.filter((look) => look.roomId === room.id)
    const pairsSeen = new Set(seen.map((look) => `${look.candidateId} ${look.keeperId}`)).size
    const pairs = judged.length * candidates.length
    return {
      id: room.id,
      name: room.name,
      bearingsDeg: room.windows.map((window) => window.bearingDeg),
      aspectWords: aspectOf(room).join(' and ') || 'no window',
      dimness: dimness(daylightFactorPercent(room)),
      done: {
        light:
          room.windows.length + room.lamps.length > 0
            ? counted(room.windows.length, 'window')
            : 'to set up',
        keepers: judged.length > 0 ? `${judged.length} to suit` : 'none yet',
        lead: keepers.find(({ id }) => id === room.leadKeeperId)?.name ?? '',
        shortlist: candidates.length > 0 ? `${candidates.length} taken` : 'none yet',
        trial: '',
        bench: pairs > 0 ? `${pairsSeen} of ${pairs}` : '',
        sheet: '',
      },
    }
  })
  const seenCells = new Set(looks.map((look) => `${look.candidateId} ${look.roomId}`)).size
  return (
    <VisitFrame
      visitId={visit.id}
      household={visit.household}
      rooms={frameRooms}
      gridDone={candidates.length > 0 ? `${seenCells} of ${candidates.length * rooms.length}` : ''}
    >
      {children}
    </VisitFrame>
  )
}

const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`
