'use client'

import { PRODUCT_USES, productWords, TESTER_SHEENS, type PaintWays } from '@/core/quantity/products'
import { AREA_UNIT, areaIn, ft2PerGallon, type LengthUnits, type VolumeUnits } from '@/core/units'
import { Field, FormMessage, Select } from '../form/field'
import { LengthField } from '../form/length-field'
import { useCommandForm } from '../form/use-command-form'
import { useSettings } from '../settings/settings-context'
import { readPaintWays, shownPacks } from './read-paint-ways'

const short = (value: number): string => String(Number(value.toFixed(2)))

/** How paint is sampled and worked out: what tins and tills say, and as is usual until then. */
export function PaintWaysForm({
  ways,
  lengths,
  volumes,
}: {
  readonly ways: PaintWays
  readonly lengths: LengthUnits
  readonly volumes: VolumeUnits
}) {
  const { words } = useSettings()
  const { onSubmit, pending, errors, message, kept } = useCommandForm('keep-paint-ways', (form) =>
    readPaintWays(form, ways, lengths, volumes),
  )
  const spread = (m2: number): string => short(volumes === 'litres' ? m2 : ft2PerGallon(m2))
  const spreadUnit = volumes === 'litres' ? 'm² a litre' : 'sq ft a gallon'
  return (
    <form
      onSubmit={onSubmit}
      noValidate
      aria-label="How paint is sampled and worked out"
      className="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-3"
    >
      {ways.pots.map((pot, at) => (
        <Field
          key={pot.name}
          label={`${pot.name} covers, one coat`}
          name={`pot-${at}`}
          defaultValue={short(areaIn(pot.coversM2, lengths))}
          unit={AREA_UNIT[lengths]}
          error={errors[`pot-${at}`]}
        />
      ))}
      <Select
        label="Testers come in"
        name="testerSheen"
        defaultValue={ways.testerSheen}
        options={TESTER_SHEENS.map((sheen) => [sheen, sheen] as const)}
        error={errors.testerSheen}
      />
      <LengthField
        label="A board, wide"
        name="widthMm"
        mm={ways.board.widthMm}
        error={errors.widthMm}
      />
      <LengthField
        label="A board, high"
        name="heightMm"
        mm={ways.board.heightMm}
        error={errors.heightMm}
      />
      <LengthField
        label="Its white border"
        name="borderMm"
        mm={ways.board.borderMm}
        error={errors.borderMm}
      />
      <Field
        label="Primer dries in"
        name="primer"
        defaultValue={short(ways.drying.primerMinutes / 60)}
        unit="hours"
        error={errors.primer}
      />
      <Field
        label="Next coat after"
        name="recoat"
        defaultValue={short(ways.drying.recoatMinutes / 60)}
        unit="hours"
        error={errors.recoat}
      />
      <Field
        label="Judged dry after"
        name="dry"
        defaultValue={short(ways.drying.dryMinutes / 60)}
        unit="hours"
        error={errors.dry}
      />
      {PRODUCT_USES.map((use) => (
        <div key={use} className="grid grid-cols-2 gap-x-3 sm:col-span-3">
          <Field
            label={`${productWords(use, words)} goes`}
            name={`spread-${use}`}
            defaultValue={spread(ways.products[use].spreadM2PerLitre)}
            unit={spreadUnit}
            error={errors[`spread-${use}`]}
          />
          <Field
            label={`${productWords(use, words)} is sold in`}
            name={`packs-${use}`}
            defaultValue={shownPacks(ways.products[use].packs)}
            hint="Size, and its price after an equals sign: 1 l = 32; 2.5 l = 68"
            error={errors[`packs-${use}`]}
          />
        </div>
      ))}
      <Field
        label="Wasted"
        name="waste"
        defaultValue={short(ways.wastePercent)}
        unit="%"
        error={errors.waste}
      />
      <Field
        label="Money"
        name="currency"
        defaultValue={ways.currency}
        hint="€, kr; empty without prices."
        error={errors.currency}
      />
      <Field
        label="Lead in paint banned here in"
        name="leadBannedYear"
        defaultValue={ways.leadBannedYear ?? ''}
        hint="The year of your local rule; empty: the sheets say to look it up."
        error={errors.leadBannedYear}
      />
      <div className="flex items-center gap-4 sm:col-span-3">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          Save these
        </button>
        <FormMessage>{message ?? (kept && !pending ? 'Saved.' : '')}</FormMessage>
      </div>
    </form>
  )
}
