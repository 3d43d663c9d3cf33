import { randomUUID } from 'node:crypto'
import { saveKeeperForm } from '@/app/_actions/keeper'
import { keeperFinish } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { listKeepersInRoom, type Keeper } from '@/db/keepers'
import { openDb } from '@/db/store'
import { KeepersView } from '@/ui/keepers/keepers-view'
import type { KeeperValues } from '@/ui/keepers/keeper-form'

export const metadata = { title: 'Keepers' }

export default async function KeepersPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { room, visit } = await loadRoom(visitId, roomId)
  const keepers = await listKeepersInRoom(await openDb(), room.id)
  return (
    <KeepersView
      keepers={keepers.map((keeper) => ({
        values: valuesOf(keeper),
        colours: keeperFinish(keeper, visit.houseRules).colours.map((colour, i) => ({
          ...colour,
          readBy: readBy(keeper.colours[i]!),
        })),
      }))}
      fresh={{
        id: randomUUID(),
        roomId: room.id,
        name: '',
        kind: 'stone',
        state: 'staying',
        place: '',
        note: '',
        varies: false,
        replacedBy: '',
        colours: [],
      }}
      action={saveKeeperForm}
    />
  )
}

function readBy({ deckColourId, reading, source }: Keeper['colours'][number]): string {
  if (source === 'photo') return 'from a photo'
  if (deckColourId) return 'by eye, from the deck'
  return reading.kind === 'lab' ? 'L*a*b* reading' : 'one screen number'
}

function valuesOf(keeper: Keeper): KeeperValues {
  return {
    ...keeper,
    colours: keeper.colours.map(({ part, sharePercent, deckColourId, reading, source }) => ({
      part,
      sharePercent,
      by: deckColourId
        ? 'deck'
        : source === 'photo'
          ? 'photo'
          : reading.kind === 'lab'
            ? 'lab'
            : 'hex',
      lab: reading.kind === 'lab' ? reading.lab : null,
      hex: reading.kind === 'srgb' ? reading.hex : '',
      deckColourId,
    })),
  }
}
