'use client'

import { isMeasuredFor, MEASURED_FOR, measuredForWords, OWN } from '@/core/paint/measured-for'
import { BASES, type Base } from '@/core/paint/strength'
import {
  mappingOfKind,
  READING_KINDS,
  TEXT_COLUMNS,
  type DeckMapping,
  type ReadingKind,
  type TextColumn,
} from '@/core/deck/deck-mapping'
import type { OpenedFile } from '@/workers/deck-file-protocol'
import { Choice } from '../form/choice'

const TEXT_WORDS: Record<TextColumn, string> = {
  code: 'Code',
  name: 'Name',
  strip: 'Strip',
  base: 'Base',
  lrv: 'Printed LRV',
  sheens: 'Sheens',
  refused: 'Counter may refuse',
}
const KIND_WORDS: Record<ReadingKind, string> = {
  lab: 'L*a*b*',
  xyz: 'XYZ',
  hex: 'hex',
  rgb: 'red, green, blue (0 to 255)',
  spectrum: 'a spectrum',
}
const NUMBER_WORDS: Record<ReadingKind, readonly string[]> = {
  lab: ['L*', 'a*', 'b*'],
  xyz: ['X', 'Y', 'Z'],
  hex: ['Hex'],
  rgb: ['Red', 'Green', 'Blue'],
  spectrum: [],
}

/** What stands in which column: guessed from the heading, put right by hand. */
export function MappingFields({
  opened,
  mapping,
  onChange,
}: {
  readonly opened: OpenedFile
  readonly mapping: DeckMapping
  readonly onChange: (mapping: DeckMapping) => void
}) {
  const columns = [
    ['', 'none'] as const,
    ...opened.columns.map((name, i) => [String(i), name || `column ${i + 1}`] as const),
  ]
  const place = (value: string): number | null => (value === '' ? null : Number(value))
  const table = { ...opened, rows: [] }
  return (
    <fieldset className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
      <legend className="mb-1 font-medium">What stands in which column</legend>
      {TEXT_COLUMNS.map((name) => (
        <Choice
          key={name}
          label={TEXT_WORDS[name]}
          value={String(mapping.texts[name] ?? '')}
          options={columns}
          onChange={(value) =>
            onChange({ ...mapping, texts: { ...mapping.texts, [name]: place(value) } })
          }
        />
      ))}
      {mapping.texts.base === null && (
        <Choice
          label="All in one base"
          value={mapping.base}
          options={BASES.map((base) => [base, base])}
          onChange={(value) => onChange({ ...mapping, base: value as Base })}
        />
      )}
      <Choice
        label="The colour is"
        value={mapping.kind}
        options={READING_KINDS.map((kind) => [kind, KIND_WORDS[kind]])}
        onChange={(value) => onChange(mappingOfKind(table, mapping, value as ReadingKind))}
      />
      {NUMBER_WORDS[mapping.kind].map((words, i) => (
        <Choice
          key={words}
          label={words}
          value={String(mapping.numbers[i] ?? '')}
          options={columns}
          onChange={(value) =>
            onChange({
              ...mapping,
              numbers: NUMBER_WORDS[mapping.kind].map((_, each) =>
                each === i ? place(value) : (mapping.numbers[each] ?? null),
              ),
            })
          }
        />
      ))}
      {mapping.kind === 'spectrum' &&
        (mapping.bands.length > 0 ? (
          <p className="content-center text-small">
            {mapping.bands.length} bands, {mapping.bands[0]!.nm} to {mapping.bands.at(-1)!.nm} nm
          </p>
        ) : (
          <Choice
            label="Spectrum, in one column"
            value={String(mapping.spectrumCell ?? '')}
            options={columns}
            onChange={(value) => onChange({ ...mapping, spectrumCell: place(value) })}
          />
        ))}
      {mapping.kind === 'spectrum' && (
        <Choice
          label="Its values are"
          value={mapping.scale ?? ''}
          options={[
            ['', 'as their size says'],
            ['share', 'shares, 0 to 1'],
            ['percent', 'per cent'],
          ]}
          onChange={(value) =>
            onChange({ ...mapping, scale: value === 'share' || value === 'percent' ? value : null })
          }
        />
      )}
      {(mapping.kind === 'lab' || mapping.kind === 'xyz') && (
        <Choice
          label="For the light and eye"
          value={mapping.measuredFor ?? OWN}
          options={MEASURED_FOR.map((name) => [name, measuredForWords(name)])}
          onChange={(value) =>
            onChange({ ...mapping, measuredFor: isMeasuredFor(value) ? value : OWN })
          }
        />
      )}
    </fieldset>
  )
}
