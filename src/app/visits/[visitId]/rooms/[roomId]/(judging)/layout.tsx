import { loadRoom } from '@/app/_load/visit-page'
import { zoneClock } from '@/time/local-day'
import { LightProvider } from '@/ui/light-bar/light-context'
import { InsideFrame } from '@/ui/inside/inside-frame'
import { LightBar } from '@/ui/light-bar/light-bar'

/** Every step of a room stands in one light, with its bar along the foot. */
export default async function RoomLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { roomDay, visit } = await loadRoom(visitId, roomId)
  return (
    <LightProvider roomDay={roomDay} zone={zoneClock(visit.timeZone, visit.visitDate)}>
      <InsideFrame visitId={visit.id} roomId={roomId}>
        {children}
      </InsideFrame>
      <LightBar />
    </LightProvider>
  )
}
