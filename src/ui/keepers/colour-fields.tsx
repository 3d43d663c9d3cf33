'use client'

import type { HouseRules } from '@/core/advice/house-rules'
import { Field, Select, TextArea } from '../form/field'
import {
  MEASURED_FOR,
  measuredForWords,
  OWN,
  type MeasuredForName,
} from '@/core/paint/measured-for'
import { wholeColour } from '@/core/paint/typed-reading'
import { RelitPatch } from '../swatch/relit-patch'
import { READ_BY_WORDS, surfaceOf, type ColourDraft, type ReadBy } from './colour-draft'
import { DeckPicker } from './deck-picker'
import { ReadingWords } from './reading-words'
import { readByWords, SOURCE_WORDS } from './source-words'

// What one keystroke does to a field. All else brings its text at once: all three numbers are parted there and then; typed
// in a row they stay as they are, and are read so.
const TYPING = /^(insertText|delete)/

const SCALE_WORDS = [
  ['', 'as the values say'],
  ['share', 'shares, 0 to 1'],
  ['percent', 'per cent'],
] as const

/** One colour of a keeper: its part, its share, how it was read, and what that means in the light of the page. */
export function ColourFields({
  place,
  draft,
  rules,
  errors,
  onChange,
  onRemove,
}: {
  readonly place: number
  readonly draft: ColourDraft
  readonly rules: HouseRules
  readonly errors: Readonly<Record<string, string>>
  readonly onChange: (change: Partial<ColourDraft>) => void
  /** Null for the only one. */
  readonly onRemove: (() => void) | null
}) {
  const name = (field: string): string => `colour${place}.${field}`
  const surface = surfaceOf(draft)
  const text = (field: 'part' | 'sharePercent' | 'l' | 'a' | 'b' | 'hex') => ({
    name: name(field),
    value: draft[field],
    error: errors[name(field)],
    // What is typed over is no longer what was read.
    onChange: (event: { target: { value: string } }) =>
      onChange({
        [field]: event.target.value,
        ...(field !== 'part' && field !== 'sharePercent' && { evidence: null }),
      }),
  })
  return (
    <fieldset className="flex flex-col gap-2 border-t border-rule pt-3">
      <legend className="sr-only">Colour {place + 1}</legend>
      {draft.evidence && (
        <input type="hidden" name={name('evidence')} value={JSON.stringify(draft.evidence)} />
      )}
      {(draft.by === 'lab' || draft.by === 'photo') && (
        <div className="grid grid-cols-[1fr_1fr_1fr_1.2fr] gap-3">
          <Field
            label="L*"
            {...text('l')}
            hint="or all three"
            onChange={(event) => {
              const { value } = event.target
              const isTyped = TYPING.test((event.nativeEvent as InputEvent).inputType ?? '')
              onChange({ ...((!isTyped && wholeColour(value)) || { l: value }), evidence: null })
            }}
          />
          <Field label="a*" {...text('a')} />
          <Field label="b*" {...text('b')} />
          {draft.by === 'lab' && (
            <Select
              label="Given for"
              name={name('measuredFor')}
              value={draft.measuredFor}
              onChange={(event) =>
                onChange({ measuredFor: event.target.value as MeasuredForName, evidence: null })
              }
              options={MEASURED_FOR.map((each) => [each, measuredForWords(each)])}
            />
          )}
        </div>
      )}
      {draft.by === 'hex' && (
        <Field label="Hex" hint="One screen number is a weak reading." {...text('hex')} />
      )}
      {draft.by === 'spectral' && (
        <>
          <TextArea
            label="Reflectances"
            name={name('spectrum')}
            value={draft.spectrum}
            error={errors[name('spectrum')]}
            hint="A wavelength and a reflectance a line; or 31 from 400 nm, or 36 from 380 nm."
            onChange={(event) =>
              onChange({ spectrum: event.target.value, source: '', evidence: null })
            }
          />
          <Select
            label="Written as"
            name={name('scale')}
            value={draft.scale}
            error={errors[name('scale')]}
            onChange={(event) => onChange({ scale: event.target.value as ColourDraft['scale'] })}
            options={SCALE_WORDS}
          />
          <input type="hidden" name={name('source')} value={draft.source} />
        </>
      )}
      {draft.by === 'deck' && (
        <DeckPicker
          name={name}
          picked={draft.deck}
          shifts={draft.shifts}
          error={errors[name('deckColourId')]}
          onPick={(deck) => onChange({ deck })}
          onShift={(shifts) => onChange({ shifts })}
        />
      )}
      <div className="grid grid-cols-[1fr_6rem_1.4fr] gap-3">
        <Field label="Part" {...text('part')} />
        <Field label="Share" unit="%" {...text('sharePercent')} />
        <Select
          label="Its colour by"
          name={name('by')}
          value={draft.by}
          onChange={(event) =>
            onChange({
              by: event.target.value as ReadBy,
              measuredFor: OWN,
              source: '',
              evidence: null,
            })
          }
          options={READ_BY_WORDS}
        />
      </div>
      <div className="flex items-start gap-3">
        {surface && (
          <>
            <RelitPatch
              reflectance={surface.reflectance}
              label={`${draft.part} in this light`}
              className="h-11 w-16 shrink-0"
            />
            <p className="flex-1 text-small" data-testid="meaning">
              <ReadingWords
                {...surface}
                readBy={readByWords(SOURCE_WORDS[surface.source], draft.evidence)}
                uncertainty={draft.evidence?.uncertainty}
                rules={rules}
              />
            </p>
          </>
        )}
        {onRemove && (
          <button
            type="button"
            className="ml-auto min-h-11 shrink-0 text-small underline underline-offset-4"
            aria-label={`Leave ${draft.part} out`}
            onClick={onRemove}
          >
            Leave out
          </button>
        )}
      </div>
    </fieldset>
  )
}
