import Link from 'next/link'
import { dropUnseen, takeUp } from '@/app/_actions/candidate'
import { candidatePaint, deckEntry, rankedFor, whiteBaseOf } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { listCandidates } from '@/db/candidates'
import { listDeckColours, listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { openDb } from '@/db/store'
import { NoDeck } from '@/ui/deck/no-deck'
import { ShortlistView } from '@/ui/deck/shortlist-view'

export const metadata = { title: 'Shortlist' }

export default async function ShortlistPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<{ deck?: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room, roomDay } = await loadRoom(visitId, roomId)
  const db = await openDb()
  const decks = await listDecks(db)
  const wanted = (await searchParams).deck
  const deck = decks.find(({ id }) => id === wanted) ?? decks[0]
  if (!deck) return <NoDeck why="Candidates come from a deck." />
  const candidates = await listCandidates(db, visit.id)
  const keepers = await listKeepersInRoom(db, room.id)
  const colours = await listDeckColours(db, deck.id)
  return (
    <>
      {decks.length > 1 && (
        <nav aria-label="Decks" className="flex gap-2 px-4 pt-3">
          {decks.map((each) => (
            <Link
              key={each.id}
              href={`?deck=${each.id}`}
              aria-current={each.id === deck.id ? 'page' : undefined}
              className="key"
            >
              {each.maker}, {each.name}
            </Link>
          ))}
        </nav>
      )}
      <ShortlistView
        key={deck.id}
        visitId={visit.id}
        deck={{ id: deck.id, maker: deck.maker, name: deck.name, whiteBase: whiteBaseOf(deck) }}
        entries={colours.map(deckEntry)}
        candidates={candidates.map((candidate) => ({
          id: candidate.id,
          deckColourId: candidate.deckColourId,
          code: candidate.code,
          name: candidate.name,
          strengthPercent: candidate.strengthPercent,
          reflectance: candidatePaint(candidate, decks).reflectance,
        }))}
        rankedFor={rankedFor(visit, room, roomDay, keepers)}
        actions={{ takeUp, dropUnseen }}
      />
    </>
  )
}
