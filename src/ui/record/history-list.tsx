'use client'

import { Link } from '../frame/page-link'
import { useSettings } from '../settings/settings-context'
import { useChange } from './use-change'

export interface ShownChange {
  readonly id: string
  readonly kind: string
  readonly sentence: string
  readonly actor: string
  /** By the clock of the device, and by the server's. */
  readonly madeAt: string
  readonly receivedAt: string
  readonly isUndone: boolean
}

// Clocks further apart than this are both told.
const APART_MS = 60 * 60_000

/** Every change of a visit, latest first, each with who made it and when, and a way back. */
export function HistoryList({
  visitId,
  timeZone,
  changes,
}: {
  readonly visitId: string
  readonly timeZone: string
  readonly changes: readonly ShownChange[]
}) {
  const { change, busy, message } = useChange()
  const { who } = useSettings()
  const when = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    dateStyle: 'medium',
    timeStyle: 'short',
  })
  const said = (instant: string): string => when.format(new Date(instant))
  return (
    <>
      <p className="my-3 text-small">
        What is changed here is recorded under the name {who};{' '}
        <Link href="/settings" className="underline underline-offset-4">
          change it in the settings
        </Link>
        .
      </p>
      <p role="status" aria-label="What came of it" className="min-h-6 text-small font-semibold">
        {message}
      </p>
      {changes.length === 0 && (
        <p className="text-dim">
          Nothing has been changed since changes were listed; what came before is in the record.
        </p>
      )}
      <ol className="border-t border-ink">
        {changes.map(({ id, sentence, actor, madeAt, receivedAt, isUndone }) => (
          <li
            key={id}
            className="grid min-h-11 grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-1 text-small"
          >
            <span>
              <span className={isUndone ? 'line-through' : ''}>{sentence}</span>
              {isUndone && <span className="text-dim"> taken back</span>}
              <span className="block text-fine text-dim">
                {actor}, {said(madeAt)}
                {Math.abs(Date.parse(receivedAt) - Date.parse(madeAt)) > APART_MS &&
                  ` by the clock of the device; it came in ${said(receivedAt)}`}
              </span>
            </span>
            {!isUndone && (
              <button
                type="button"
                className="min-h-11 px-2 underline underline-offset-4"
                aria-label={`Undo: ${sentence}`}
                disabled={busy}
                onClick={() =>
                  void change('undo', { visitId, commandId: id }, `Undone: ${sentence}.`)
                }
              >
                Undo
              </button>
            )}
          </li>
        ))}
      </ol>
    </>
  )
}
