'use client'

import { useState } from 'react'
import { megabytesSaid } from '@/core/words'
import { FormMessage } from '../form/field'
import { useChange } from '../record/use-change'

/** Backups: one now, one a day, those that are there, and how one is put back. */
export function KeepingSafe({
  daily,
  kept,
  dir,
}: {
  readonly daily: boolean
  readonly kept: readonly { readonly name: string; readonly bytes: number }[]
  /** Where those lie that are made by themselves. */
  readonly dir: string
}) {
  const { change, busy, message } = useChange()
  const [isDaily, setDaily] = useState(daily)
  async function keepDaily(wanted: boolean): Promise<void> {
    const answer = await change('keep-daily-backup', { daily: wanted })
    if (answer?.ok) setDaily(wanted)
  }
  return (
    <div className="mt-4 flex max-w-prose flex-col items-start gap-4 text-small">
      <p>
        Every change is on the disk before it is acknowledged. A backup guards against the disk
        itself: keep one somewhere else.
      </p>
      <a href="/api/backup" download className="key key-first px-6">
        Back up now
      </a>
      <p className="text-dim">
        One file with all visits, decks, settings and photos, read back before it is given.
      </p>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 shrink-0 accent-ink"
          checked={isDaily}
          disabled={busy}
          onChange={(event) => void keepDaily(event.target.checked)}
        />
        <span>Back up once a day by itself; the last seven are kept</span>
      </label>
      <FormMessage>{message}</FormMessage>
      {kept.length > 0 && (
        <div>
          <p>In {dir}:</p>
          <ul aria-label="Backups that are there" className="mt-1">
            {kept.map(({ name, bytes }) => (
              <li key={name}>
                {name}, {megabytesSaid(bytes)}
              </li>
            ))}
          </ul>
        </div>
      )}
      <p className="text-dim">
        To put one back: stop the application, then <code>npm run restore -- FILE</code>. It shows
        what would come, and what is there now is backed up first.
      </p>
    </div>
  )
}
