import { PaintLink } from '@/ui/frame/paint-link'
import { Fold } from '@/ui/form/fold'
import { Link } from '@/ui/frame/page-link'
import { longDate } from '@/core/light/calendar-date'
import { VERDICTS, VERDICT_WORDS } from '@/core/record/verdict'
import { loadHouseGrid } from '@/app/_load/house-grid'
import { loadTradeWords } from '@/app/_load/settings'
import { GridCellView } from '@/ui/grid/grid-cell'
import { GridFilters } from '@/ui/grid/grid-filters'
import { GridKeys } from '@/ui/grid/grid-keys'
import { GuessShown } from '@/ui/grid/guess-shown'
import { askedOfGrid, rowsShown } from '@/ui/grid/grid-model'
import { Notches } from '@/ui/verdict/notches'
import { VerdictMark } from '@/ui/verdict/verdict-mark'

export const metadata = { title: 'House grid' }

export default async function HouseGridPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string }>
  searchParams: Promise<Record<string, string | undefined>>
}) {
  const asked = askedOfGrid(await searchParams)
  const inWords = await loadTradeWords()
  const {
    visit,
    date,
    columns,
    rows: all,
    surfaces,
  } = await loadHouseGrid((await params).visitId, asked)
  const rows = rowsShown(all, asked)
  if (columns.length === 0 || all.length === 0)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">House grid</h1>
        <p className="my-3">
          The record of which colour works in which room. It fills as{' '}
          {columns.length === 0 ? 'rooms are added' : 'colours are proposed'}.
        </p>
        <Link
          className="key key-first"
          href={
            columns.length === 0
              ? `/visits/${visit.id}/rooms/new`
              : `/visits/${visit.id}/rooms/${columns[0]!.id}/shortlist`
          }
        >
          {columns.length === 0 ? 'Add the first room' : 'Propose a colour'}
        </Link>
      </main>
    )
  const severalDecks = new Set(rows.map(({ paint }) => paint.deckName)).size > 1
  return (
    <main className="min-h-0 flex-1 overflow-auto p-4 print:overflow-visible">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
        <h1 className="text-title">
          House grid{' '}
          <span className="font-text text-small text-dim">in the light of {longDate(date)}</span>
        </h1>
        <GridFilters {...{ asked, surfaces, inWords }} />
        <Legend />
      </div>
      <GridKeys />
      {asked.guess && (
        <GuessShown
          rooms={columns.map(({ id }, i) => ({
            roomId: id,
            paints: rows
              .filter(({ cells }) => cells[i]!.guess !== null)
              .map(({ paint: { deckColourId, strengthPercent } }) => ({
                deckColourId,
                strengthPercent,
              })),
          }))}
        />
      )}
      {rows.length === 0 && <p className="text-small">No candidate is so: show all.</p>}
      <table data-grid className="tabular-nums border-separate border-spacing-0">
        <thead>
          <tr>
            <td className="sticky left-0 z-10 bg-paper" />
            {columns.map((column) => (
              <th
                key={column.id}
                scope="col"
                className="px-3 pb-2 text-left align-bottom text-small font-medium"
              >
                {column.name}
                <span className="block text-fine font-normal text-dim">
                  {column.lights.join(' · ') || 'no light yet'}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.paint.id}>
              <th
                scope="row"
                className="sticky left-0 z-10 w-44 min-w-40 border-t border-rule bg-paper py-2 pr-3 text-left align-top font-normal"
              >
                <span className="block font-display text-body leading-5">
                  <PaintLink
                    deckColourId={row.paint.deckColourId}
                    strengthPercent={row.paint.strengthPercent}
                  >
                    {row.paint.name}
                  </PaintLink>
                </span>
                <span className="block text-fine text-dim">
                  {severalDecks && `${row.paint.deckName}, `}
                  {row.paint.code}, {row.paint.strengthPercent} %, LRV {Math.round(row.lrvPercent)}
                </span>
                <span className="block pt-1 text-fine">{row.sum}</span>
              </th>
              {row.cells.map((cell, i) => (
                <td key={cell.roomId} className="border-t border-rule px-3 py-2 align-top">
                  <GridCellView
                    inWords={inWords}
                    visitId={visit.id}
                    row={row}
                    cell={cell}
                    roomName={columns[i]!.name}
                    lights={columns[i]!.lights}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </main>
  )
}

function Legend() {
  return (
    <Fold title="What the shapes mean">
      <ul className="flex flex-wrap gap-x-5 text-fine">
        {VERDICTS.map((verdict) => (
          <li key={verdict} className="flex items-center gap-1.5">
            <VerdictMark verdict={verdict} />
            {VERDICT_WORDS[verdict]}
          </li>
        ))}
        <li className="flex items-center gap-1.5">
          <VerdictMark verdict={null} />
          not looked at
        </li>
        <li className="flex items-center gap-1.5">
          <Notches count={1} />
          on a chip
        </li>
        <li className="flex items-center gap-1.5">
          <Notches count={2} />
          on more
        </li>
        <li className="flex items-center gap-1.5">
          <Notches count={3} />
          on a board, by day and under lamps
        </li>
      </ul>
    </Fold>
  )
}
