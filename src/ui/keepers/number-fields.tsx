'use client'

import { MEASURED_FOR, measuredForWords, type MeasuredForName } from '@/core/paint/measured-for'
import { wholeColour } from '@/core/paint/typed-reading'
import { Field, Select, TextArea } from '../form/field'
import type { ColourDraft } from './colour-draft'

// Pasted, or brought by a tool, a whole colour comes at once and is parted there and then; typed in a row it stays as it is,
// and is read so.
const TYPING = /^(insertText|delete)/

const SCALE_WORDS = [
  ['', 'as the values say'],
  ['share', 'shares, 0 to 1'],
  ['percent', 'per cent'],
] as const

/** The numbers of a colour: L*a*b*, also as a photo has found them, a spectrum, or an sRGB hex. */
export function NumberFields({
  name,
  draft,
  errors,
  onChange,
}: {
  /** Of its fields in the form. */
  readonly name: (field: string) => string
  readonly draft: ColourDraft
  readonly errors: Readonly<Record<string, string>>
  readonly onChange: (change: Partial<ColourDraft>) => void
}) {
  const text = (field: 'l' | 'a' | 'b' | 'hex') => ({
    name: name(field),
    value: draft[field],
    error: errors[name(field)],
    // What is typed over is no longer what was read.
    onChange: (event: { target: { value: string } }) =>
      onChange({ [field]: event.target.value, evidence: null }),
  })
  if (draft.by === 'hex')
    return <Field label="Hex" hint="One screen number is a weak reading." {...text('hex')} />
  if (draft.by === 'spectral')
    return (
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
      </>
    )
  return (
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
  )
}
