'use client'

import { KEEPER_KINDS, kindWords, type KeeperKind } from '@/core/pairing/keeper-kind'
import { capital } from '@/core/words'
import { useRoving } from '../form/use-roving'
import { useSettings } from '../settings/settings-context'
import { KindPicture } from './kind-picture'

/** What stays by its picture, dearest to change first. */
export function KindPictures({
  chosen,
  error,
  onChoose,
}: {
  readonly chosen: KeeperKind | null
  readonly error: string | undefined
  readonly onChoose: (kind: KeeperKind) => void
}) {
  const { words } = useSettings()
  const { cell, onKeyDown } = useRoving()
  return (
    <fieldset name="kind" tabIndex={-1} aria-label="What is it?">
      <p className="text-small font-medium">What is it?</p>
      <div
        onKeyDown={onKeyDown}
        className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(5.75rem,1fr))] gap-2"
      >
        {KEEPER_KINDS.map((kind, i) => (
          <button
            key={kind}
            type="button"
            {...cell(i)}
            // Asked first, and answered by a letter.
            autoFocus={i === 0}
            aria-pressed={kind === chosen}
            className="flex min-h-11 flex-col items-center gap-1 border border-rule p-2 text-fine hover:border-ink aria-pressed:border-ink aria-pressed:font-semibold"
            onClick={() => onChoose(kind)}
          >
            <KindPicture kind={kind} className="h-10 w-15" />
            {capital(kindWords(kind, words))}
          </button>
        ))}
      </div>
      <p role="status" className="text-fine font-semibold">
        {error}
      </p>
    </fieldset>
  )
}
