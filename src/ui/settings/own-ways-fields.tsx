import { FIRST_SPEAKS, type FirstSpeaks } from '@/core/record/agreement'
import { TRADE_WORDS, type TradeWords } from '@/core/trade-words'
import { LENGTH_UNITS, VOLUME_UNITS, type LengthUnits, type VolumeUnits } from '@/core/units'
import { Field, Select } from '../form/field'
import type { OwnWays } from './settings-context'

const LENGTH_WORDS: Record<LengthUnits, string> = {
  metric: 'metres',
  feet: 'feet and inches',
}
const FIRST_WORDS: Record<FirstSpeaks, string> = {
  eye: 'your eye',
  model: 'the model',
}
const VOLUME_WORDS: Record<VolumeUnits, string> = {
  litres: 'litres',
  'us-gallons': 'US gallons',
}

const TRADE_EXAMPLES: Record<TradeWords, string> = {
  american: 'trim, countertop',
  british: 'woodwork, worktop',
}

/** Whose store it is, and the units and words its people think in. */
export function OwnWaysFields({
  settings,
  errors,
}: {
  readonly settings: Omit<OwnWays, 'locale'>
  readonly errors: Readonly<Record<string, string>>
}) {
  return (
    <>
      <Field
        label="Your name"
        name="who"
        defaultValue={settings.who}
        error={errors.who}
        hint="Everything recorded here carries it."
        autoComplete="name"
      />
      <Select
        label="Lengths in"
        name="lengths"
        defaultValue={settings.lengths}
        error={errors.lengths}
        options={LENGTH_UNITS.map((units) => [units, LENGTH_WORDS[units]] as const)}
        hint="The other may always be typed: 4.42 m or 14' 6&quot;."
      />
      <Select
        label="Paint in"
        name="volumes"
        defaultValue={settings.volumes}
        error={errors.volumes}
        options={VOLUME_UNITS.map((units) => [units, VOLUME_WORDS[units]] as const)}
      />
      <Select
        label="Parts of a room are called"
        name="words"
        defaultValue={settings.words}
        error={errors.words}
        options={TRADE_WORDS.map((words) => [words, TRADE_EXAMPLES[words]] as const)}
        hint="And cabinet or cupboard, baseboard or skirting. What you typed stays as it is."
      />
      <Select
        label="Who speaks first at the bench"
        name="firstSpeaks"
        defaultValue={settings.firstSpeaks}
        error={errors.firstSpeaks}
        options={FIRST_SPEAKS.map((first) => [first, FIRST_WORDS[first]] as const)}
        hint="What the model said before your verdict is noted with the look."
      />
    </>
  )
}
