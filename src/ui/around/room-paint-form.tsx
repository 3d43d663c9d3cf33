'use client'

import { WALL_NAMES } from '@/core/light/walls'
import { AREA_UNIT, areaIn } from '@/core/units'
import { Field, FormMessage, Select } from '../form/field'
import { LengthField } from '../form/length-field'
import { useCommandForm } from '../form/use-command-form'
import { useSettings, useTradeWords } from '../settings/settings-context'
import { NO_WALL, readRoomPaint, type RoomPaintValues } from './room-paint-values'

/** What the size of a room does not tell: what is on its walls now, its joinery, a wall of its own, a half wall. */
export function RoomPaintForm({
  visitId,
  roomId,
  values,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly values: RoomPaintValues
}) {
  const inWords = useTradeWords()
  const { lengths } = useSettings()
  const { onSubmit, pending, errors, message, kept } = useCommandForm('keep-room-paint', (form) =>
    readRoomPaint(form, { visitId, roomId }, lengths),
  )
  const area = (m2: number | null): string =>
    m2 === null ? '' : String(Number(areaIn(m2, lengths).toFixed(2)))
  const areas = [
    [inWords('Cabinet fronts'), 'cabinetsM2', values.cabinetsM2],
    ['Island', 'islandM2', values.islandM2],
    ['Other', 'otherM2', values.otherM2],
  ] as const
  return (
    <details className="border-b border-rule">
      <summary className="min-h-11 content-center text-small">
        Sizes and what is on the walls now
      </summary>
      <form
        onSubmit={onSubmit}
        noValidate
        aria-label="What decides the paint of this room"
        className="mt-3 grid grid-cols-2 gap-3"
      >
        <div className="col-span-2">
          <Field
            label="On the walls now"
            name="oldWalls"
            defaultValue={values.oldWalls}
            error={errors.oldWalls}
            hint="L* a* b*, as 62 20 31.5, or a hex; empty: worked out over an old white."
          />
        </div>
        <Select
          label="A wall of its own"
          name="featureWall"
          defaultValue={values.featureWall}
          error={errors.featureWall}
          options={[[NO_WALL, 'none'], ...WALL_NAMES.map((wall) => [wall, wall] as const)]}
        />
        <LengthField
          label="Half wall up to"
          name="halfHeightMm"
          mm={values.halfHeightMm}
          error={errors.halfHeightMm}
        />
        <LengthField
          label={inWords('Baseboard, high')}
          name="skirtingMm"
          mm={values.skirtingMm}
          error={errors.skirtingMm}
        />
        <LengthField
          label={inWords('Casings, wide')}
          name="casingMm"
          mm={values.casingMm}
          error={errors.casingMm}
        />
        {areas.map(([label, name, m2]) => (
          <Field
            key={name}
            label={label}
            name={name}
            defaultValue={area(m2)}
            unit={AREA_UNIT[lengths]}
            error={errors[name]}
          />
        ))}
        <div className="col-span-2 flex items-center gap-3">
          <button type="submit" className="key key-first" disabled={pending}>
            Save
          </button>
          <FormMessage>{message ?? (kept && !pending ? 'Saved.' : '')}</FormMessage>
        </div>
      </form>
    </details>
  )
}
