import { rankedFor } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { listDeckColours, listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { openDb } from '@/db/store'
import { NoDeck } from '@/ui/deck/no-deck'
import { TrialView } from '@/ui/trial/trial-view'

export const metadata = { title: 'On trial' }

export default async function TrialPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<{ deck?: string; colour?: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room, roomDay } = await loadRoom(visitId, roomId)
  const wanted = await searchParams
  const db = await openDb()
  const decks = await listDecks(db)
  const deck = decks.find(({ id }) => id === wanted.deck) ?? decks[0]
  if (!deck) return <NoDeck why="A colour on trial comes from a deck." />
  const colours = await listDeckColours(db, deck.id)
  const place = colours.findIndex(({ code }) => code === wanted.colour)
  const { rules, room: character } = rankedFor(
    visit,
    room,
    roomDay,
    await listKeepersInRoom(db, room.id),
  )
  return (
    <TrialView
      key={`${deck.id} ${place}`}
      deck={deck}
      entries={colours.map(({ deckColourId, code, name, strip, base, reading }) => ({
        id: deckColourId,
        code,
        name,
        strip,
        base,
        source: reading.kind === 'lab' ? 'maker' : 'screen',
      }))}
      place={place < 0 ? null : place}
      rules={rules}
      room={character}
    />
  )
}
