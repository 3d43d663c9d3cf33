import { LAMP_PLACES } from '@/core/light/fittings'
import { lampAt } from '@/core/light/spot'
import type { RoomToFurnish } from '@/core/room/furnish'
import type { Placing } from '@/core/room/usual-places'
import type { Inside } from './inside-room'
import type { Placeable } from './place-plan'

/** What a room is furnished from; its light is given apart. */
export const toFurnish = ({
  keepers,
  doors,
  featureWall,
  lampsAt,
}: Pick<Inside, 'keepers' | 'doors' | 'featureWall' | 'lampsAt'>): Omit<RoomToFurnish, 'room'> => ({
  ...{ keepers, doors, featureWall, lampsAt },
})

/** What stands in it and can be moved. */
export const standingThings = (
  { keepers }: Inside,
  standing: readonly { readonly id: string; readonly placing: Placing }[],
): Placeable[] =>
  standing.flatMap(({ id, placing }) => {
    const keeper = keepers.find((each) => each.id === id)
    // Where it was just put, it is at once; the light follows.
    return keeper ? [{ id, name: keeper.name, placing: keeper.placing ?? placing }] : []
  })

const LAMP_MM = { widthMm: 260, depthMm: 260, heightMm: 260 }

/** Its lamps, where they hang. */
export const lampThings = (
  { lampIds, lampsAt }: Inside,
  room: Parameters<typeof lampAt>[0],
): Placeable[] =>
  lampIds.flatMap((id, n) => {
    const lamp = room.lamps[n]
    if (!lamp) return []
    const [eastMm, northMm, fromMm] = lampsAt[n] ?? lampAt(room, lamp)
    return [
      {
        ...{ id, name: LAMP_PLACES[lamp.place].words },
        placing: { ...LAMP_MM, eastMm, northMm, fromMm: Math.round(fromMm) },
      },
    ]
  })

/** The room with a thing where it was just put. */
export const placedIn = (inside: Inside, thingId: string, placing: Placing | null): Inside => ({
  ...inside,
  keepers: inside.keepers.map((keeper) =>
    keeper.id === thingId ? { ...keeper, placing } : keeper,
  ),
  lampsAt: inside.lampsAt.map((at, n) =>
    inside.lampIds[n] !== thingId
      ? at
      : placing && [placing.eastMm, placing.northMm, placing.fromMm],
  ),
})
