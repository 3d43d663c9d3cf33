import { sheenForSurface, type Wear } from '@/core/paint/surface-sheen'
import type { KeeperKind } from '@/core/pairing/keeper-kind'
import type { HouseRoom } from '@/ui/shortlist/other-rooms'
import { loadRoomBrief } from './paints'
import { loadKeepersInRoom, loadRoomDays, loadVisit } from './visit-page'

/** The rooms of the house, as a colour is judged in each. */
export async function loadHouseRooms(visitId: string): Promise<HouseRoom[]> {
  const page = await loadVisit(visitId)
  const days = await loadRoomDays(page)
  return Promise.all(
    page.rooms.map(async (room) => ({
      id: room.id,
      name: room.name,
      brief: await loadRoomBrief(page.visit, room),
      roomDay: days.get(room.id)!,
      sheen: sheenForSurface('walls', room.treatment, await wearOf(visitId, room.id)),
    })),
  )
}

// Where these stand there is steam, and hands; common practice.
const WASHED: readonly KeeperKind[] = ['counter', 'tile', 'appliance', 'cabinets']

/** What a room does to its paint, from what stands in it. */
export async function wearOf(visitId: string, roomId: string): Promise<Wear> {
  const keepers = await loadKeepersInRoom(visitId, roomId)
  return { washed: keepers.some(({ kind }) => WASHED.includes(kind)) }
}
