import { loadFetchList, type FetchEntry } from '@/app/_load/fetch-list'
import { loadTradeWords } from '@/app/_load/settings'
import { screenColour } from '@/core/colour/appearance'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { IsHere } from '@/ui/fetch/is-here'
import { Link } from '@/ui/frame/page-link'
import { ReadingPage } from '@/ui/frame/reading-page'
import { SheetHeader } from '@/ui/sheet/sheet-header'
import { Patch } from '@/ui/swatch/patch'

export const metadata = { title: 'Fetch list' }

export default async function FetchListPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit, toFetch, neverHeld } = await loadFetchList((await params).visitId)
  const inWords = await loadTradeWords()
  return (
    <ReadingPage>
      <SheetHeader visit={visit} title="Back to the shop" />
      {toFetch.length === 0 && (
        <p className="py-6">
          Nothing is on the list. After a look that finds fault the{' '}
          <Link href={`/visits/${visit.id}/grid`} className="underline underline-offset-4">
            bench
          </Link>{' '}
          says what to try next; what is fetched from there stands here.
        </p>
      )}
      <ul aria-label="To fetch">
        {toFetch.map((entry) => (
          <Line key={entry.paint.id} entry={entry}>
            {entry.wanted.map(({ id, room, surface, reason }) => (
              <span key={id} className="block">
                {room}, {inWords(surface)}
                {reason && `: ${reason}`}
              </span>
            ))}
            <IsHere
              called={`${entry.paint.name} at ${entry.paint.strengthPercent} %`}
              proposals={entry.wanted.map(({ roomId, surface, sheen }) => ({
                ...{ roomId, surface, sheen },
                visitId: visit.id,
                candidateId: entry.paint.id,
              }))}
            />
          </Line>
        ))}
      </ul>
      {neverHeld.length > 0 && (
        <section aria-label="Never held as a sample" className="mt-6">
          <h2 className="text-title">Proposed, and never held as a sample</h2>
          <ul>
            {neverHeld.map((entry) => (
              <Line key={entry.paint.id} entry={entry}>
                {entry.rooms.join(', ')}
              </Line>
            ))}
          </ul>
        </section>
      )}
      <p className="mt-6 border-t border-rule pt-3 text-fine text-dim">
        A name is no order: fetch by maker, deck and code. No chip exists at another strength; only
        a mixed sample shows it.
      </p>
    </ReadingPage>
  )
}

function Line({
  entry: { paint, base, mayBeRefused, lrvPercent },
  children,
}: {
  readonly entry: FetchEntry
  readonly children: React.ReactNode
}) {
  return (
    <li className="flex break-inside-avoid gap-4 border-b border-rule py-2">
      <Patch
        colour={screenColour(DAYLIGHT, paint.reflectance)}
        label={`${paint.name}, by daylight`}
        className="h-16 w-28 shrink-0"
      />
      <div className="text-small">
        <p>
          <span className="font-display text-body">
            {paint.code}, {paint.name}
          </span>{' '}
          <span className="text-dim">
            {paint.deckName}, LRV {Math.round(lrvPercent)}
          </span>
        </p>
        <p className="font-medium">
          {paint.strengthPercent === 100
            ? 'chip or large swatch, full strength'
            : `mix a sample at ${paint.strengthPercent} % of the formula in the same ${base} base`}
          {mayBeRefused && '; the counter may refuse to mix it at another strength'}
        </p>
        {children}
      </div>
    </li>
  )
}
