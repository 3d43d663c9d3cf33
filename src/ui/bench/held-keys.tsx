'use client'

import { ToggleGroup } from 'radix-ui'
import { HELD, type Held } from '@/core/record/look'
import { heldAs, type HeldSample } from './held-sample'

const WORDS: Record<Held | 'screen', string> = {
  screen: 'The screen',
  chip: 'Chip',
  'large swatch': 'Large swatch',
  board: 'Board',
  wall: 'Wall',
}

const STRENGTHS = [25, 50, 75, 100, 125, 150]

/**
 * What one looks at: the screen in a computed light, which never counts as seen, or a sample in the light that is there; of a
 * sample at which strength it was mixed, and where that is.
 */
export function HeldKeys({
  sample,
  candidatePercent,
  onChange,
}: {
  readonly sample: HeldSample
  /** Null where several candidates are in hand: each board is mixed for its own. */
  readonly candidatePercent: number | null
  readonly onChange: (sample: HeldSample) => void
}) {
  const { held, strengthPercent, place } = sample
  const choose = (to: Held | null): void => onChange(heldAs(sample, to, candidatePercent ?? 100))
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-small text-ink">
      <ToggleGroup.Root
        type="single"
        aria-label="You look at"
        className="flex flex-wrap"
        value={held ?? 'screen'}
        onValueChange={(to) => to && choose(to === 'screen' ? null : (to as Held))}
      >
        {(['screen', ...HELD] as const).map((each) => (
          <ToggleGroup.Item key={each} value={each} className="key -ml-px min-h-9 px-2 first:ml-0">
            {WORDS[each]}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <kbd className="text-fine text-dim">H</kbd>
      {held === null ? (
        <span className="text-fine text-dim">never counts</span>
      ) : (
        <>
          {candidatePercent !== null && (
            <label className="flex items-center gap-1">
              mixed at
              <select
                className="min-h-9 border border-ash bg-paper px-1"
                value={strengthPercent}
                onChange={(event) =>
                  onChange({ ...sample, strengthPercent: Number(event.target.value) })
                }
              >
                {[...new Set([...STRENGTHS, candidatePercent])]
                  .sort((p, q) => p - q)
                  .map((percent) => (
                    <option key={percent} value={percent}>
                      {percent} %
                    </option>
                  ))}
              </select>
            </label>
          )}
          <label className="flex items-center gap-1">
            <span className="sr-only">Where in the room</span>
            <input
              className="field min-h-9 w-36"
              placeholder="at the sink"
              maxLength={80}
              autoComplete="off"
              value={place}
              onChange={(event) => onChange({ ...sample, place: event.target.value })}
            />
          </label>
          {candidatePercent !== null && strengthPercent !== candidatePercent && (
            <span className="font-semibold">
              Not the {candidatePercent} % of the candidate; it is kept so.
            </span>
          )}
        </>
      )}
    </div>
  )
}
