import { randomUUID } from 'node:crypto'
import { candidatePaint, keeperFinish, readingSourceOf } from '@/app/_load/paints'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadKeepers,
  loadKeepersInRoom,
  loadRoom,
} from '@/app/_load/visit-page'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { shiftWords } from '@/core/paint/by-eye'
import { reflectanceOfReading, type ReadingSource } from '@/core/paint/reading'
import { spectrumText } from '@/core/paint/typed-reading'
import type { Keeper } from '@/db/keepers'
import { KeepersView } from '@/ui/keepers/keepers-view'
import { emptyDraft, labTexts } from '@/ui/keepers/colour-draft'
import { PLAIN_VALUES, type KeeperValues } from '@/ui/keepers/keeper-values'
import { readByWords, SOURCE_WORDS } from '@/ui/keepers/source-words'

export const metadata = { title: 'Keepers' }

export default async function KeepersPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { room, rooms, visit } = await loadRoom(visitId, roomId)
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  const decks = await loadDecks()
  const candidates = (await loadCandidates(visit.id))
    .filter((each) => isUpIn(each, room.id))
    .map((candidate) => candidatePaint(candidate, decks))
  return (
    <KeepersView
      visitId={visit.id}
      keepers={keepers.map((keeper) => ({
        values: valuesOf(keeper),
        colours: keeperFinish(keeper, visit.houseRules).colours.map((colour, i) => {
          const { evidence } = keeper.colours[i]!
          const source = readingSourceOf(keeper.colours[i]!)
          return {
            ...colour,
            source,
            readBy: readByWords(readBy(keeper.colours[i]!, source), evidence),
            uncertainty: evidence?.uncertainty,
          }
        }),
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
        ...PLAIN_VALUES,
        roomId: room.id,
        name: '',
        kind: null,
        colours: [],
      }}
      firstId={randomUUID()}
      otherRooms={rooms.filter(({ id }) => id !== room.id).map(({ id, name }) => ({ id, name }))}
      rules={visit.houseRules}
      exposures={(await loadKeepers(visit.id)).flatMap(({ id, colours }) => {
        const exposure = colours.find(({ evidence }) => evidence?.exposure)?.evidence?.exposure
        return exposure ? [{ ...exposure, keeperId: id }] : []
      })}
    />
  )
}

function readBy(
  { deckColourName, shift }: Keeper['colours'][number],
  source: ReadingSource,
): string {
  if (!deckColourName) return SOURCE_WORDS[source]
  return [
    'by eye',
    ...(shift.length > 0 ? [shiftWords(shift), 'than'] : ['as']),
    deckColourName,
  ].join(' ')
}

function valuesOf(keeper: Keeper): KeeperValues {
  return {
    ...keeper,
    colours: keeper.colours.map((colour, i) => {
      const { part, sharePercent, deckColourId, deckColourName, reading, shift, source, evidence } =
        colour
      const entered = { ...emptyDraft(i, sharePercent), part, evidence }
      if (deckColourId)
        return {
          ...entered,
          by: 'deck',
          shifts: shift,
          deck: {
            id: deckColourId,
            words: deckColourName ?? '',
            reflectance: reflectanceOfReading(reading),
          },
        }
      switch (reading.kind) {
        case 'lab':
          return {
            ...entered,
            by: source === 'photo' ? 'photo' : source === 'eye' ? 'field' : 'lab',
            ...labTexts(reading.lab),
          }
        case 'srgb':
          return { ...entered, by: 'hex', hex: reading.hex }
        case 'spectral':
          return {
            ...entered,
            by: 'spectral',
            spectrum: spectrumText(reading),
            scale: 'share',
            source: source === 'uncalibrated' ? source : 'spectral',
          }
      }
    }),
  }
}
