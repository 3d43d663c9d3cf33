import Link from 'next/link'
import { candidatePaint, deckEntry, loadRoomBrief, whiteBaseOf } from '@/app/_load/paints'
import { loadCandidates, loadDecks, loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { listDeckColours } from '@/db/decks'
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
  const { visit, room } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  const wanted = (await searchParams).deck
  const deck = decks.find(({ id }) => id === wanted) ?? decks[0]
  if (!deck) return <NoDeck why="Candidates come from a deck." />
  const candidates = await loadCandidates(visit.id)
  const colours = await listDeckColours(await openDb(), deck.id)
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
        roomId={room.id}
        deck={{ id: deck.id, maker: deck.maker, name: deck.name, whiteBase: whiteBaseOf(deck) }}
        entries={colours.map(deckEntry)}
        candidates={candidates.map((candidate) => ({
          id: candidate.id,
          deckColourId: candidate.deckColourId,
          code: candidate.code,
          name: candidate.name,
          strengthPercent: candidate.strengthPercent,
          reflectance: candidatePaint(candidate, decks).reflectance,
          ruledOut: candidate.ruledOut,
          proposals: candidate.proposals,
        }))}
        brief={await loadRoomBrief(visit, room)}
        weakestPercent={weakestStrengthPercent(visit.houseRules)}
        treatment={room.treatment}
      />
    </>
  )
}
