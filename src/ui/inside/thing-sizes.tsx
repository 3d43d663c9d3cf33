'use client'

import { useState } from 'react'
import type { Placing } from '@/core/room/usual-places'
import { lengthWords, typedLengthMm } from '@/core/units'
import { Choice } from '../form/choice'
import { Field } from '../form/field'
import { useSettings } from '../settings/settings-context'
import type { Placeable } from './place-plan'

const SIZES = [
  ['widthMm', 'East to west', 50, 20_000],
  ['depthMm', 'North to south', 50, 20_000],
  ['heightMm', 'High', 10, 15_000],
  ['fromMm', 'Above the floor', 0, 15_000],
] as const

/** How large a thing is and how high it stands; what is typed is kept as one leaves the field. */
export function ThingSizes({
  things,
  onPlace,
}: {
  readonly things: readonly Placeable[]
  readonly onPlace: (thing: Placeable, placing: Placing) => void
}) {
  const { lengths } = useSettings()
  const [id, setId] = useState('')
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({})
  const thing = things.find((each) => each.id === id) ?? things[0]!
  function typed(key: (typeof SIZES)[number][0], text: string, least: number, most: number): void {
    const mm = typedLengthMm(text, lengths)
    const isRight = mm !== null && mm >= least && mm <= most
    setErrors({
      ...errors,
      [key]: isRight
        ? ''
        : `Expected ${lengthWords(least, lengths)} to ${lengthWords(most, lengths)}, got “${text}”.`,
    })
    if (isRight && Math.round(mm) !== thing.placing[key])
      onPlace(thing, { ...thing.placing, [key]: Math.round(mm) })
  }
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-2">
      <Choice
        label="Size of"
        value={thing.id}
        options={things.map((each) => [each.id, each.name] as const)}
        onChange={(next) => {
          setId(next)
          setErrors({})
        }}
      />
      <div className="grid grid-cols-2 gap-x-4">
        {SIZES.map(([key, label, least, most]) => (
          <Field
            key={`${thing.id} ${key} ${thing.placing[key]}`}
            label={label}
            name={`thing-${key}`}
            defaultValue={lengthWords(thing.placing[key], lengths)}
            error={errors[key] || undefined}
            onBlur={(event) => typed(key, event.target.value, least, most)}
          />
        ))}
      </div>
      <p className="max-w-md">
        Drag a thing to where it stands; by keyboard the arrows move it by 10 cm, T turns it, and
        Delete puts it back to where such things usually stand. Sizes are those usual for its kind
        until they are typed.
      </p>
    </div>
  )
}
