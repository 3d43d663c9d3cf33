import { lrvPercent } from '@/core/paint/lrv'
import { isOfSample } from '@/core/record/look'
import { candidatePaint } from './paints'
import { loadCandidates, loadDecks, loadLooks, loadVisit } from './visit-page'

/** What is to be fetched from the shop for a house, deck by deck, and what of the rest was never held as a sample. */
export async function loadFetchList(visitId: string) {
  const { visit, rooms } = await loadVisit(visitId)
  const decks = await loadDecks()
  const looks = (await loadLooks(visit.id)).filter((look) => !look.retracted && isOfSample(look))
  const roomName = (id: string): string => rooms.find((room) => room.id === id)?.name ?? ''
  const entries = (await loadCandidates(visit.id))
    .filter(({ ruledOut }) => ruledOut === null)
    .map((candidate) => {
      const paint = candidatePaint(candidate, decks)
      const up = candidate.proposals.filter(({ status }) => status !== 'ruled out')
      return {
        paint,
        base: candidate.base,
        mayBeRefused: candidate.mayBeRefused,
        lrvPercent: lrvPercent(paint.reflectance),
        wanted: up
          .filter(({ status }) => status === 'to fetch')
          .map((proposal) => ({ ...proposal, room: roomName(proposal.roomId) })),
        rooms: [...new Set(up.map(({ roomId }) => roomName(roomId)))],
        isHeld: looks.some((look) => look.candidate.candidateId === candidate.id),
      }
    })
    .sort((p, q) =>
      `${p.paint.deckName} ${p.paint.code}`.localeCompare(`${q.paint.deckName} ${q.paint.code}`),
    )
  return {
    visit,
    toFetch: entries.filter(({ wanted }) => wanted.length > 0),
    neverHeld: entries.filter(
      ({ wanted, rooms: of, isHeld }) => wanted.length === 0 && of.length > 0 && !isHeld,
    ),
  }
}

export type FetchEntry = Awaited<ReturnType<typeof loadFetchList>>['toFetch'][number]
