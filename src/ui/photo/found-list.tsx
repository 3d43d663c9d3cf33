'use client'

import { uncertaintyWords } from '@/core/paint/reading-evidence'
import { Patch } from '../swatch/patch'
import { colourOfLab, type FoundColour } from './found-colours'

/** The colours found in a photo: keep, drop, or merge with the one above. */
export function FoundList({
  found,
  onCount,
  onMerge,
}: {
  readonly found: readonly FoundColour[]
  readonly onCount: (place: number) => void
  readonly onMerge: (place: number) => void
}) {
  return (
    <ul aria-label="Colours found">
      {found.map(({ lab, sharePercent, counts, uncertainty }, i) => (
        <li key={i} className="flex items-center gap-3 border-b border-rule text-small">
          <Patch colour={colourOfLab(lab)} className="h-11 w-16 shrink-0" />
          <span className="flex-1 tabular-nums" data-lab={lab.map((v) => v.toFixed(2)).join(' ')}>
            {sharePercent >= 1 ? `${Math.round(sharePercent)} %` : 'tapped'}, L* {lab[0].toFixed(0)}
            , a* {lab[1].toFixed(0)}, b* {lab[2].toFixed(0)}{' '}
            <span className="text-dim">({uncertaintyWords(uncertainty)})</span>
          </span>
          {i > 0 && (
            <button
              type="button"
              className="min-h-11 text-fine underline underline-offset-4"
              aria-label={`Merge colour ${i + 1} with the one above`}
              onClick={() => onMerge(i)}
            >
              Merge up
            </button>
          )}
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-ink"
              checked={counts}
              onChange={() => onCount(i)}
            />
            counts
          </label>
        </li>
      ))}
    </ul>
  )
}
