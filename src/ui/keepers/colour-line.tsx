'use client'

import { useState } from 'react'
import type { HouseRules } from '@/core/advice/house-rules'
import { Field } from '../form/field'
import { TextKey } from '../form/text-key'
import { RelitPatch } from '../swatch/relit-patch'
import { surfaceOf, type ColourDraft } from './colour-draft'
import { ReadingWords } from './reading-words'
import { readByWords, SOURCE_WORDS } from './source-words'

/** A colour of a keeper that was found: its swatch, what it means in the light of the page, its part and its share. */
export function ColourLine({
  name,
  draft,
  rules,
  errors,
  isAtHand,
  onChange,
  onTake,
  onRemove,
}: {
  /** Of its fields in the form. */
  readonly name: (field: string) => string
  readonly draft: ColourDraft
  readonly rules: HouseRules
  readonly errors: Readonly<Record<string, string>>
  /** Whether the way to read it stands above. */
  readonly isAtHand: boolean
  readonly onChange: (change: Partial<ColourDraft>) => void
  readonly onTake: () => void
  /** Null for the only one. */
  readonly onRemove: (() => void) | null
}) {
  const surface = surfaceOf(draft)
  const [asked, setAsked] = useState(false)
  const isNamed = asked || onRemove !== null
  const text = (field: 'part' | 'sharePercent') => ({
    name: name(field),
    value: draft[field],
    error: errors[name(field)],
    onChange: (event: { target: { value: string } }) => onChange({ [field]: event.target.value }),
  })
  if (!surface && !isNamed) return null
  return (
    <div
      role="group"
      aria-label={draft.part}
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule pt-2"
    >
      {surface && (
        <>
          <RelitPatch
            reflectance={surface.reflectance}
            label={`${draft.part} in this light`}
            className="h-11 w-16 shrink-0"
          />
          <p className="min-w-48 flex-1 text-small" data-testid="meaning">
            <ReadingWords
              {...surface}
              readBy={readByWords(SOURCE_WORDS[surface.source], draft.evidence)}
              uncertainty={draft.evidence?.uncertainty}
              rules={rules}
            />
          </p>
        </>
      )}
      {isNamed ? (
        <>
          <span className="w-36">
            <Field label="Part" {...text('part')} />
          </span>
          <span className="w-24">
            <Field label="Share" unit="%" {...text('sharePercent')} />
          </span>
        </>
      ) : (
        <TextKey onClick={() => setAsked(true)}>Part and share</TextKey>
      )}
      {onRemove && (
        <>
          {!isAtHand && (
            <TextKey aria-label={`Read ${draft.part} anew`} onClick={onTake}>
              Read anew
            </TextKey>
          )}
          <TextKey aria-label={`Leave ${draft.part} out`} onClick={onRemove}>
            Leave out
          </TextKey>
        </>
      )}
    </div>
  )
}
