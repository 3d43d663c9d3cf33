'use client'

import { Link } from '../frame/page-link'
import { useTradeWords } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { RuledRoom } from './ruling-model'

/** What is ruled in every room, side by side and touching; in the light of the room at hand. */
export function HouseSoFar({
  visitId,
  roomId,
  rooms,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly rooms: readonly RuledRoom[]
}) {
  const inWords = useTradeWords()
  const painted = rooms.filter(({ surfaces }) => surfaces.length > 0)
  if (painted.length === 0) return null
  return (
    <section aria-label="The house so far" className="border-t border-ink pt-2">
      <h2 className="pb-1 text-title">The house so far</h2>
      <ul>
        {painted.map(({ id, name, surfaces }) => (
          <li key={id} className="flex items-stretch gap-3">
            <div className="flex min-h-11 w-28 shrink-0">
              {surfaces.map(({ surface, pick }) =>
                pick ? (
                  <RelitPatch
                    key={surface}
                    reflectance={pick.paint.reflectance}
                    label={`${name}, ${inWords(surface)}: ${pick.paint.name} at ${pick.paint.strengthPercent} per cent`}
                    className="min-w-0 flex-1"
                  />
                ) : (
                  <span
                    key={surface}
                    className="flex min-w-0 flex-1 items-center text-fine text-dim"
                  >
                    open
                  </span>
                ),
              )}
            </div>
            <p className="py-1 text-fine">
              <Link
                href={`/visits/${visitId}/rooms/${id}/ruling`}
                aria-current={id === roomId ? 'page' : undefined}
                className="text-small font-medium underline underline-offset-4 aria-[current]:no-underline"
              >
                {name}
              </Link>
              {surfaces.map(
                ({ surface, pick }) =>
                  pick && (
                    <span key={surface} className="block text-dim">
                      {inWords(surface)}: {pick.paint.name} at {pick.paint.strengthPercent} %
                    </span>
                  ),
              )}
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}
