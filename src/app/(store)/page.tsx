import { Link } from '@/ui/frame/page-link'
import { redirect } from 'next/navigation'
import { loadKeptSettings } from '@/app/_load/settings'
import { loadVisitSummary } from '@/app/_load/visit-summary'
import { longDate } from '@/core/light/calendar-date'
import { listRemovedVisits, listVisits, VISITS_A_PAGE, type VisitSummary } from '@/db/visits'
import { openDb } from '@/store/store'
import { Patch } from '@/ui/swatch/patch'
import { ReadingPage } from '@/ui/frame/reading-page'
import { OpenVisitFile } from '@/ui/visit-file/open-visit-file'
import { PutVisitBack } from '@/ui/brief/put-visit-back'

const BROUGHT_BACK_DAYS = 30

const STAGES: readonly (readonly [VisitSummary['stage'], string])[] = [
  ['in-progress', 'In progress'],
  ['planned', 'Planned'],
  ['finished', 'Finished'],
]

export default async function VisitsPage({
  searchParams,
}: {
  searchParams: Promise<{ q?: string; page?: string; out?: string }>
}) {
  if (!(await loadKeptSettings())) redirect('/start')
  const asked = await searchParams
  const typed = (asked.q ?? '').replaceAll('\0', '').trim().slice(0, 80)
  const page = Math.max(0, Math.floor(Number(asked.page ?? 1)) - 1 || 0)
  const visits = await listVisits(await openDb(), typed, page)
  const removed = await listRemovedVisits(await openDb(), BROUGHT_BACK_DAYS)
  if (visits.length === 0 && page > 0) redirect(addressOf(typed, 1))
  const pages = Math.ceil((visits[0]?.total ?? 0) / VISITS_A_PAGE)
  return (
    <ReadingPage wide>
      <div className="flex flex-wrap items-end justify-between gap-4 border-b border-ink pb-4">
        <div>
          <h1 className="text-head">Visits</h1>
          <p className="text-small text-dim">Elm Swatch: paint judged in the room’s own light.</p>
        </div>
        <div className="flex flex-wrap items-center justify-end gap-2">
          <OpenVisitFile />
          {(visits.length > 0 || typed) && (
            <Link href="/visits/new" className="key key-first px-6">
              New visit
            </Link>
          )}
        </div>
      </div>
      {asked.out && <PutVisitBack visitId={asked.out} />}
      {(visits.length > 0 || typed) && (
        <form role="search" className="mt-4 flex gap-2">
          <input
            className="field max-w-80"
            type="search"
            name="q"
            aria-label="Find a visit"
            placeholder="household or place"
            defaultValue={typed}
          />
          <button type="submit" className="key">
            Find
          </button>
        </form>
      )}
      {visits.length === 0 && (
        <div className="flex flex-col items-start gap-4 py-10">
          <p className="text-dim">
            {typed
              ? `No visit whose household or place holds “${typed}”.`
              : 'No visit yet. Start with the household, the place and the date; the light follows from them.'}
          </p>
          {!typed && (
            <Link href="/visits/new" className="key key-first px-6">
              First visit
            </Link>
          )}
        </div>
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
      {removed.length > 0 && (
        <details className="mt-8 text-small">
          <summary className="min-h-11 content-center">
            Removed in the last {BROUGHT_BACK_DAYS} days ({removed.length})
          </summary>
          {removed.map(({ id, household, visitDate }) => (
            <PutVisitBack key={id} visitId={id} words={`${household}, ${longDate(visitDate)}`} />
          ))}
        </details>
      )}
      {pages > 1 && (
        <nav aria-label="Pages of visits" className="mt-6 flex items-center gap-4 text-small">
          {page > 0 && <Link href={addressOf(typed, page)}>Earlier page</Link>}
          <span>
            Page {page + 1} of {pages}
          </span>
          {page + 1 < pages && <Link href={addressOf(typed, page + 2)}>Next page</Link>}
        </nav>
      )}
    </ReadingPage>
  )
}

const addressOf = (typed: string, page: number): string =>
  `/?${new URLSearchParams({ ...(typed && { q: typed }), page: String(page) })}`

async function VisitLine({ visit }: { readonly visit: VisitSummary }) {
  // The record first, once there is one.
  const page = visit.stage === 'planned' ? 'brief' : 'grid'
  const { works, left } = await loadVisitSummary(visit.id, visit.lastChange)
  return (
    <Link
      href={`/visits/${visit.id}/${page}`}
      className="grid min-h-18 grid-cols-[8.5rem_1fr_10rem_16rem] items-center gap-4 px-1 py-2 hover:bg-mist max-lg:grid-cols-[8.5rem_1fr_10rem] max-sm:grid-cols-1 max-sm:gap-1"
    >
      <span className="text-small">{longDate(visit.visitDate)}</span>
      <span>
        <span className="block font-display text-title leading-6">{visit.household}</span>
        <span className="text-small text-dim">
          {visit.placeName}, {visit.rooms} {visit.rooms === 1 ? 'room' : 'rooms'}
        </span>
      </span>
      <span className="flex h-12 empty:max-sm:hidden max-sm:h-8">
        {works.map(({ id, words, colour }) => (
          <Patch key={id} colour={colour} label={words} className="h-full max-w-14 flex-1" />
        ))}
      </span>
      <span className="text-small text-dim max-lg:col-span-full">
        {visit.stage === 'finished'
          ? works.length > 0
            ? `${works.length} ${works.length === 1 ? 'colour works' : 'colours work'}`
            : 'nothing works'
          : left.length > 0
            ? `Left: ${left.slice(0, 2).join('; ')}`
            : 'All seen'}
      </span>
    </Link>
  )
}
