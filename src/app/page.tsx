import Link from 'next/link'
import { listVisits, type VisitSummary } from '@/db/visits'
import { openDb } from '@/db/store'
import { longDate } from '@/ui/sheet/long-date'

const STAGES: readonly (readonly [VisitSummary['stage'], string])[] = [
  ['in-progress', 'In progress'],
  ['planned', 'Planned'],
  ['finished', 'Finished'],
]

export default async function VisitsPage() {
  const visits = await listVisits(await openDb())
  return (
    <main className="mx-auto max-w-5xl px-6 py-8">
      <div className="flex flex-wrap items-end justify-between gap-4 border-b border-ink pb-4">
        <div>
          <h1 className="text-head">Visits</h1>
          <p className="text-small text-dim">Elm Swatch: paint judged in the room’s own light.</p>
        </div>
        <div className="flex gap-2">
          <Link href="/decks" className="key">
            Decks
          </Link>
          <Link href="/visits/new" className="key key-first px-6">
            New visit
          </Link>
        </div>
      </div>
      {visits.length === 0 && (
        <p className="py-10 text-dim">
          No visit yet. Begin with the household, the place and the date; the light follows from
          them.
        </p>
      )}
      {STAGES.map(([stage, words]) => {
        const listed = visits.filter((visit) => visit.stage === stage)
        return listed.length === 0 ? null : (
          <section key={stage} aria-label={words} className="mt-8">
            <h2 className="text-title">{words}</h2>
            <ul className="mt-2 border-t border-rule">
              {listed.map((visit) => (
                <li key={visit.id} className="border-b border-rule">
                  <VisitLine visit={visit} />
                </li>
              ))}
            </ul>
          </section>
        )
      })}
    </main>
  )
}

function VisitLine({ visit }: { readonly visit: VisitSummary }) {
  const page = visit.stage === 'finished' ? 'grid' : 'brief'
  return (
    <Link
      href={`/visits/${visit.id}/${page}`}
      className="grid min-h-16 grid-cols-[7rem_1fr_auto] items-center gap-4 px-1 py-2 hover:bg-mist max-sm:grid-cols-1 max-sm:gap-1"
    >
      <span className="text-small">{longDate(visit.visitDate)}</span>
      <span>
        <span className="block font-display text-title leading-6">{visit.household}</span>
        <span className="text-small text-dim">{visit.placeName}</span>
      </span>
      <span className="text-right text-small text-dim max-sm:text-left">
        {visit.rooms} {visit.rooms === 1 ? 'room' : 'rooms'}, {visit.candidates}{' '}
        {visit.candidates === 1 ? 'candidate' : 'candidates'}, {visit.looks}{' '}
        {visit.looks === 1 ? 'look' : 'looks'} kept
      </span>
    </Link>
  )
}
