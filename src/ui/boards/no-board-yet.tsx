'use client'

import type { PayloadOf } from '@/commands/kinds'
import { PaintLink } from '../frame/paint-link'
import { Link } from '../frame/page-link'
import { useChange } from '../record/use-change'
import { RelitPatch } from '../swatch/relit-patch'
import type { SampleToFetch } from './to-fetch'

/** A candidate of the room with what is to be sent to say that it goes to board. */
export interface MayGo {
  readonly paint: SampleToFetch['paint']
  readonly proposal: Pick<
    PayloadOf<'propose'>,
    'visitId' | 'proposalId' | 'candidateId' | 'roomId' | 'surface' | 'sheen'
  >
}

/** Before anything goes to paint: what may, each with one press. */
export function NoBoardYet({ mayGo }: { readonly mayGo: readonly MayGo[] }) {
  const { change, busy, message } = useChange()
  return (
    <section aria-label="What may go to paint">
      <h2 className="text-title">To paint</h2>
      <p className="text-small text-dim">Paint boards of no more than three colours.</p>
      {mayGo.length === 0 && (
        <Link href="shortlist" className="key key-first mt-3">
          Find a colour for this room
        </Link>
      )}
      <ul>
        {mayGo.map(({ paint, proposal }) => {
          const called = `${paint.name} at ${paint.strengthPercent} %`
          return (
            <li
              key={proposal.proposalId}
              className="flex items-center gap-3 border-b border-rule py-2"
            >
              <RelitPatch reflectance={paint.reflectance} label={called} className="h-12 w-16" />
              <p className="min-w-0 flex-1 text-small">
                <PaintLink
                  deckColourId={paint.deckColourId}
                  strengthPercent={paint.strengthPercent}
                >
                  {called}
                </PaintLink>{' '}
                <span className="text-dim">{paint.code}</span>
              </p>
              <button
                type="button"
                className="key"
                aria-disabled={busy}
                aria-label={`To a board: ${called}`}
                onClick={() =>
                  void change(
                    'propose',
                    {
                      ...proposal,
                      ...{ status: 'going to board', reason: '', withdrawn: false, replaces: null },
                    },
                    `${called}: going to board.`,
                  )
                }
              >
                To a board
              </button>
            </li>
          )
        })}
      </ul>
      <p role="status" aria-label="What came of it" className="text-small font-semibold">
        {message}
      </p>
    </section>
  )
}
