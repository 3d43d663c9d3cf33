import type { Surface } from '@/core/record/proposal'
import { Link } from '../frame/page-link'
import { gridParameters, SHOWN, type GridAsked, type Shown } from './grid-model'

const WORDS: Record<Shown, string> = {
  all: 'All',
  works: 'Works somewhere',
  open: 'Still open',
  out: 'Out everywhere',
}

/** Which rows and surfaces a grid shows, in which order, and whether the model says what it expects. */
export function GridFilters({
  asked,
  surfaces,
  inWords,
}: {
  readonly asked: GridAsked
  readonly surfaces: readonly Surface[]
  /** Names the parts of a room as the store does. */
  readonly inWords: (text: string) => string
}) {
  return (
    <nav
      aria-label="What the grid shows"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 text-small print:hidden"
    >
      <span className="flex flex-wrap">
        {SHOWN.map((show) => (
          <Filter key={show} asked={{ ...asked, show }} isOn={asked.show === show}>
            {WORDS[show]}
          </Filter>
        ))}
      </span>
      {surfaces.length > 1 && (
        <span className="flex flex-wrap">
          {[null, ...surfaces].map((surface) => (
            <Filter key={surface} asked={{ ...asked, surface }} isOn={asked.surface === surface}>
              {inWords(surface ?? 'every surface')}
            </Filter>
          ))}
        </span>
      )}
      <span className="flex flex-wrap">
        <Filter asked={{ ...asked, byWork: !asked.byWork }} isOn={asked.byWork}>
          What works in most rooms first
        </Filter>
        <Filter asked={{ ...asked, guess: !asked.guess }} isOn={asked.guess}>
          The model’s guess
        </Filter>
      </span>
    </nav>
  )
}

function Filter({
  asked,
  isOn,
  children,
}: {
  readonly asked: GridAsked
  readonly isOn: boolean
  readonly children: React.ReactNode
}) {
  return (
    <Link
      href={gridParameters(asked)}
      aria-current={isOn ? 'true' : undefined}
      className="key -ml-px px-2 first:ml-0 aria-[current]:bg-ink aria-[current]:text-paper"
    >
      {children}
    </Link>
  )
}
