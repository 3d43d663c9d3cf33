'use client'

import { BASES } from '@/core/paint/strength'
import { FAMILY_NAMES, type FamilyName } from '@/core/undertone/plain-name'
import { TONES, type ToneName } from '@/core/undertone/tone-order'
import type { Base } from '@/core/paint/strength'
import { Choice } from '../form/choice'
import { TextKey } from '../form/text-key'
import { LRV_BANDS, NO_FILTER, type ToneFilter } from './tone-filter'

const ANY = ['', 'any'] as const

/** What of the decks is asked for: depth, family, undertone, base, and whether it fits. */
export function Filters({
  filter,
  count,
  onChange,
}: {
  readonly filter: ToneFilter
  /** How many colours are left. */
  readonly count: number
  readonly onChange: (filter: ToneFilter) => void
}) {
  const set = (change: Partial<ToneFilter>): void => onChange({ ...filter, ...change })
  const asked = Object.entries(filter).filter(([, value]) => value !== null && value !== false)
  return (
    <details className="text-small">
      <summary className="min-h-11 content-center">
        {asked.length > 0
          ? `Filters: ${asked.length}, ${count.toLocaleString('en-GB')} colours`
          : 'Filters'}
      </summary>
      <div className="grid grid-cols-2 gap-x-4 gap-y-1 pb-2 sm:grid-cols-3">
        <Choice
          label="Depth, LRV"
          value={String(filter.depth ?? '')}
          options={[ANY, ...LRV_BANDS.map(([, , words], i) => [String(i), words] as const)]}
          onChange={(value) => set({ depth: value === '' ? null : Number(value) })}
        />
        <Choice
          label="Family"
          value={filter.family ?? ''}
          options={[ANY, ...FAMILY_NAMES.map((kind) => [kind, kind] as const)]}
          onChange={(value) => set({ family: value === '' ? null : (value as FamilyName) })}
        />
        <Choice
          label="Undertone"
          value={filter.tone ?? ''}
          options={[ANY, ...TONES.map((tone) => [tone, tone] as const)]}
          onChange={(value) => set({ tone: value === '' ? null : (value as ToneName) })}
        />
        <Choice
          label="Base"
          value={filter.base ?? ''}
          options={[ANY, ...BASES.map((base) => [base, base] as const)]}
          onChange={(value) => set({ base: value === '' ? null : (value as Base) })}
        />
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={filter.fits}
            onChange={(event) => set({ fits: event.target.checked })}
          />
          Only what fits
        </label>
        {asked.length > 0 && <TextKey onClick={() => onChange(NO_FILTER)}>No filter</TextKey>}
      </div>
    </details>
  )
}
