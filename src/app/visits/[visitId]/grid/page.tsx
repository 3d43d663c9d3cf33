import { Link } from '@/ui/frame/page-link'
import { longDate } from '@/core/light/calendar-date'
import { VERDICTS, VERDICT_WORDS, verdictSentence } from '@/core/record/verdict'
import { loadHouseGrid, type GridCell, type GridRow } from '@/app/_load/house-grid'
import { Patch } from '@/ui/swatch/patch'
import { Notches } from '@/ui/verdict/notches'
import { VerdictMark } from '@/ui/verdict/verdict-mark'

export const metadata = { title: 'House grid' }

export default async function HouseGridPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string }>
  searchParams: Promise<{ day?: string; sort?: string }>
}) {
  const { day, sort } = await searchParams
  const { visit, date, columns, rows: asTaken } = await loadHouseGrid((await params).visitId, day)
  const byWork = sort === 'works'
  const rows = byWork ? asTaken.toSorted((p, q) => q.worksIn - p.worksIn) : asTaken
  if (columns.length === 0 || rows.length === 0)
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
  return (
    <main className="min-h-0 flex-1 overflow-auto p-4 print:overflow-visible">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
        <h1 className="text-title">
          House grid{' '}
          <span className="font-text text-small text-dim">in the light of {longDate(date)}</span>
        </h1>
        <Link
          className="min-h-11 content-center text-small underline underline-offset-4 print:hidden"
          href={`/visits/${visit.id}/grid?${new URLSearchParams({ ...(day && { day }), ...(!byWork && { sort: 'works' }) })}`}
        >
          {byWork ? 'In the order taken up' : 'What works in most rooms first'}
        </Link>
        <Legend />
      </div>
      <table className="tabular-nums border-separate border-spacing-0">
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
                <span className="block font-display text-body leading-5">{row.paint.name}</span>
                <span className="block text-fine text-dim">
                  {row.paint.deckName}, {row.paint.code}
                </span>
                <span className="block text-fine text-dim">
                  {row.paint.strengthPercent} %, LRV {Math.round(row.lrvPercent)}
                </span>
                <span className="block pt-1 text-fine">{row.sum}</span>
              </th>
              {row.cells.map((cell, i) => (
                <td key={cell.roomId} className="border-t border-rule px-3 py-2 align-top">
                  <Cell
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

function Cell({
  visitId,
  row,
  cell,
  roomName,
  lights,
}: {
  readonly visitId: string
  readonly row: GridRow
  readonly cell: GridCell
  readonly roomName: string
  readonly lights: readonly string[]
}) {
  const { paint } = row
  const { says, isUp, ruledOut, namedBy } = cell
  const onScreen = says.verdict === null && says.look ? says.look.verdict : null
  const words = ruledOut !== null ? 'ruled out' : cellWords(cell)
  const keeperId = says.look?.against.kind === 'keeper' ? says.look.against.keeperId : null
  if (!isUp && ruledOut === null && says.look === null)
    return (
      <Link
        href={`/visits/${visitId}/rooms/${cell.roomId}/shortlist`}
        aria-label={`${paint.name} at ${paint.strengthPercent} per cent in ${roomName}: not proposed`}
        data-verdict="not proposed"
        className="flex min-h-20 min-w-36 items-center text-fine text-dim"
      >
        not proposed here
      </Link>
    )
  return (
    <Link
      href={
        isUp
          ? `/visits/${visitId}/rooms/${cell.roomId}/bench?candidate=${paint.id}${keeperId ? `&keeper=${keeperId}` : ''}`
          : `/visits/${visitId}/rooms/${cell.roomId}/sheet`
      }
      aria-label={`${paint.name} at ${paint.strengthPercent} per cent in ${roomName}: ${words}`}
      data-verdict={ruledOut !== null ? 'ruled out' : (says.verdict ?? 'unseen')}
      className="block w-40"
    >
      <span className="flex h-14">
        {cell.bands.map((band, i) => (
          <Patch
            key={lights[i]}
            colour={band}
            label={`${paint.name} in ${lights[i]}`}
            className="h-full min-w-0 flex-1"
          />
        ))}
      </span>
      <span className="mt-1 flex items-center gap-2 text-fine">
        <VerdictMark verdict={ruledOut !== null ? 'no' : says.verdict} />
        {words}
        {says.lights > 0 && <Notches count={Math.min(3, says.lights) as 1 | 2 | 3} />}
      </span>
      {ruledOut !== null && <span className="block text-fine">{ruledOut}</span>}
      {cell.isLeanOut && (
        <span className="block text-fine font-medium">its lean is out of this room</span>
      )}
      {namedBy && (
        <span className="block text-fine leading-4 text-dim" title={namedBy}>
          {[
            ...says.reasons,
            ...says.marks,
            ...(says.clientSaysNo ? ['the client says no'] : []),
          ].join(', ')}
          <span className="line-clamp-2">
            {onScreen === null ? namedBy : `${verdictSentence(onScreen, [])} ${namedBy}`}
          </span>
        </span>
      )}
    </Link>
  )
}

function cellWords({ isUp, says }: GridCell): string {
  if (says.verdict !== null)
    return isUp ? VERDICT_WORDS[says.verdict] : `${VERDICT_WORDS[says.verdict]}, not proposed now`
  return says.look ? 'not seen yet' : 'not looked at'
}

function Legend() {
  return (
    <ul aria-label="What the shapes mean" className="flex flex-wrap gap-x-5 text-fine">
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
        <Notches count={2} />
        seen in two lights
      </li>
    </ul>
  )
}
