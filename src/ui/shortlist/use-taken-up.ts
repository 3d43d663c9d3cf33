import { useCallback, useMemo, useState } from 'react'
import type { PayloadOf } from '@/commands/kinds'
import { atStrength } from '@/core/paint/strength'
import { deckWords } from '../deck/deck-words'
import type { ListedAt, ListedDecks } from '../deck/listed-decks'
import type { TakenCandidate } from './proposal-line'

/** The candidates of a page, with those that were taken up on it since: shown once they are kept, before the page is rendered anew. */
export function useTakenUp(known: readonly TakenCandidate[], decks: ListedDecks | null) {
  const [taken, setTaken] = useState<readonly TakenCandidate[]>([])
  // Once the page knows it, it is the page's: it may be dropped again.
  const fresh = taken.filter((each) => !known.some((other) => isOnePaint(each, other)))
  if (fresh.length < taken.length) setTaken(fresh)
  const candidates = useMemo(() => [...known, ...taken], [known, taken])
  const show = useCallback(
    (colour: ListedAt, { candidateId, ...of }: PayloadOf<'take-up'>): void => {
      if (!decks) return
      const { deckColourId, strengthPercent, proposalId, roomId, surface, sheen } = of
      const { code, name, source, sheens, deck, whiteBase, place } = colour
      const candidate: TakenCandidate = {
        ...{ id: candidateId, deckColourId, strengthPercent, code, name, source, sheens },
        deckName: deckWords(deck),
        reflectance: atStrength(decks.reflectanceOf(place), whiteBase, strengthPercent),
        ruledOut: null,
        proposals: [
          { id: proposalId, status: 'proposed', reason: '', ...{ roomId, surface, sheen } },
        ],
      }
      setTaken((before) => [...before.filter((each) => !isOnePaint(each, candidate)), candidate])
    },
    [decks],
  )
  const hide = useCallback(({ deckColourId, strengthPercent }: Paint): void => {
    setTaken((before) =>
      before.filter((each) => !isOnePaint(each, { deckColourId, strengthPercent })),
    )
  }, [])
  return { candidates, show, hide }
}

type Paint = Pick<TakenCandidate, 'deckColourId' | 'strengthPercent'>
const isOnePaint = (p: Paint, q: Paint): boolean =>
  p.deckColourId === q.deckColourId && p.strengthPercent === q.strengthPercent
