import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { VERDICT_WORDS, verdictSentence, reasonsSaid } from '@/core/record/verdict'
import { Link } from '../frame/page-link'
import { Patch } from '../swatch/patch'
import { Notches } from '../verdict/notches'
import { VerdictMark } from '../verdict/verdict-mark'
import type { GridCell, GridRow } from './grid-model'

/** A candidate in a room: in its key lights, how it stands there and how well that is founded. */
export function GridCellView({
  visitId,
  row,
  cell,
  roomName,
  lights,
  inWords,
}: {
  readonly visitId: string
  readonly row: GridRow
  readonly cell: GridCell
  readonly roomName: string
  readonly lights: readonly string[]
  /** Names the parts of a room as the store does. */
  readonly inWords: (text: string) => string
}) {
  const { paint } = row
  const { says, isUp, ruledOut, namedBy } = cell
  const onScreen = says.verdict === null && says.look ? says.look.verdict : null
  // Most are for the walls, and none of those a pick: that need not be said in every cell.
  const besidesWalls = cell.proposedFor.filter(
    ({ surface }) => surface !== 'walls' || cell.pickFor.includes(surface),
  )
  const words = ruledOut !== null ? 'ruled out' : cellWords(cell)
  const keeperId = says.look?.against.kind === 'keeper' ? says.look.against.keeperId : null
  if (!isUp && ruledOut === null && says.look === null)
    return (
      <Link
        href={`/visits/${visitId}/rooms/${cell.roomId}/shortlist`}
        aria-label={`${paint.name} at ${paint.strengthPercent} per cent in ${roomName}: not proposed`}
        data-verdict="not proposed"
        className="flex min-h-14 min-w-36 items-center justify-center text-dim"
      >
        –
      </Link>
    )
  return (
    <Link
      href={
        isUp
          ? `/visits/${visitId}/rooms/${cell.roomId}/bench?candidate=${paint.id}${keeperId ? `&keeper=${keeperId}` : ''}`
          : `/visits/${visitId}/rooms/${cell.roomId}/sheet`
      }
      aria-label={`${paint.name} at ${paint.strengthPercent} per cent in ${roomName}: ${words}${cell.guess ? `; the model expects: ${JUDGEMENT_WORDS[cell.guess]}` : ''}`}
      data-verdict={ruledOut !== null ? 'ruled out' : (says.verdict ?? 'unseen')}
      className="relative block w-40"
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
        {says.verdict === null && ruledOut === null ? null : words}
      </span>
      {cell.guess && (
        <span className="block text-fine italic">model: {JUDGEMENT_WORDS[cell.guess]}</span>
      )}
      {cell.founded.notches !== 0 && (
        <span className="flex items-center gap-1.5 text-fine text-dim">
          <Notches count={cell.founded.notches} />
          <span className="sr-only">{cell.founded.words}</span>
        </span>
      )}
      {ruledOut !== null && <span className="block text-fine">{ruledOut}</span>}
      {besidesWalls.length > 0 && (
        <span className="block text-fine text-dim">
          {besidesWalls.map(({ surface, sheen }, i) => (
            <span
              key={surface}
              className={cell.pickFor.includes(surface) ? 'font-semibold text-ink' : undefined}
            >
              {i > 0 && '; '}
              {cell.pickFor.includes(surface) && 'the pick: '}
              {inWords(surface)}, {sheen}
            </span>
          ))}
        </span>
      )}
      {cell.isLeanOut && (
        <span className="block text-fine font-medium">its lean is out of this room</span>
      )}
      {says.clientSaysNo && <span className="block text-fine font-medium">the client says no</span>}
      {namedBy && (
        <span className="block text-fine leading-4 text-dim" title={namedBy}>
          {/* That it was a chip stands beside the notches. */}
          {[reasonsSaid(says.reasons), ...says.marks.filter((mark) => mark !== 'on a chip only')]
            .filter(Boolean)
            .join(', ')}
          <span className="sr-only">
            {' '}
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
