import { randomUUID } from 'node:crypto'
import { saveKeeperForm } from '@/app/_actions/keeper'
import { candidatePaint, keeperFinish } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { isJudgedAgainst } from '@/core/judge/keeper-kind'
import { listCandidates } from '@/db/candidates'
import { listDecks } from '@/db/decks'
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
  const db = await openDb()
  const keepers = await listKeepersInRoom(db, room.id)
  const decks = await listDecks(db)
  const candidates = (await listCandidates(db, visit.id)).map((candidate) =>
    candidatePaint(candidate, decks),
  )
  return (
    <KeepersView
      visitId={visit.id}
      keepers={keepers.map((keeper) => ({
        values: valuesOf(keeper),
        colours: keeperFinish(keeper, visit.houseRules).colours.map((colour, i) => ({
          ...colour,
          readBy: readBy(keeper.colours[i]!),
        })),
      }))}
      leanings={[
        ...keepers
          .filter(({ state }) => isJudgedAgainst(state))
          .flatMap((keeper) =>
            keeperFinish(keeper, visit.houseRules).colours.map(({ part, reflectance }) => ({
              id: `${keeper.id} ${part}`,
              name: `${keeper.name}, ${part}`,
              kind: 'keeper' as const,
              reflectance,
            })),
          ),
        ...candidates.map(({ id, name, strengthPercent, reflectance }) => ({
          id,
          name: `${name} at ${strengthPercent} per cent`,
          kind: 'candidate' as const,
          reflectance,
        })),
      ]}
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
