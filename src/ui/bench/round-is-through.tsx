import { Link } from '../frame/page-link'

/** What came of a round that is through, and where it leads: what works to its ruling, what does not to the shop. */
export function RoundIsThrough({
  visitId,
  came,
  works,
}: {
  readonly visitId: string
  /** "Works: Larkstone at 75 %. No: 3." */
  readonly came: string
  readonly works: boolean
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 border-t border-rule pt-1 text-small">
      <p role="status" aria-label="What came of the round" className="flex-1">
        <span className="font-semibold">The round is through.</span> {came}
      </p>
      <Link href={works ? 'ruling' : 'shortlist'} className="key key-first">
        {works ? 'To the ruling' : 'Propose another colour'}
      </Link>
      <Link href={`/visits/${visitId}/fetch`} className="key">
        What to fetch
      </Link>
    </div>
  )
}
