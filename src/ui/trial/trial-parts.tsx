'use client'

import { useMemo } from 'react'
import { screenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { clockTime, type LocalDay } from '@/core/light/day-clock'
import type { RoomDay } from '@/core/light/light-choice'
import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import type { ReadingSource } from '@/core/paint/reading'
import { eyeOf, type EyeSaid, type LookedPaint } from '@/core/record/eye-said'
import type { DayLight } from '@/core/scheme/on-trial'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { Patch } from '../swatch/patch'
import { EyeLine } from '../verdict/eye-line'
import { JudgementMark } from '../verdict/verdict-mark'
import { SwatchRow } from './swatch-row'
import { besideStaying, doorOutside, inSheens, onTheWalls } from './trial-model'

/** The paint through the room's hours, edge to edge. */
export function HourBands({
  full,
  day,
  local,
}: {
  readonly full: Reflectance
  readonly day: readonly DayLight[]
  readonly local: LocalDay
}) {
  const shown = day.filter((_, i) => i % Math.ceil(day.length / MOST_BANDS) === 0)
  if (shown.length === 0) return null
  return (
    <div className="flex">
      {shown.map(({ minute, prepared }) => (
        <div key={minute} className="min-w-0 flex-1">
          <Patch
            colour={screenColour(prepared, full)}
            label={`At ${clockTime(local, minute)}`}
            className="h-20"
          />
          <p className="pt-1 text-fine text-dim">{clockTime(local, minute)}</p>
        </div>
      ))}
    </div>
  )
}
const MOST_BANDS = 8

/** Rows of swatches whose colours are no plain surface in the light of the page; they follow its every frame. */
export function OnTheWalls({
  full,
  roomDay,
}: {
  readonly full: Reflectance
  readonly roomDay: RoomDay
}) {
  const { light, prepared } = useMovingLight()
  if (!light || !prepared) return null
  return (
    <>
      <SwatchRow
        name="A chip misleads"
        swatches={onTheWalls(light, prepared, full, roomDay)}
        tall
      />
      <SwatchRow name="Sheen" swatches={inSheens(prepared, full)} />
      <SwatchRow name="On a front door" swatches={doorOutside(prepared, full)} />
    </>
  )
}

/** Each thing that stays, the weakest first, as the bench reads it. */
export function BesideStaying({
  full,
  source,
  strengthPercent,
  keepers,
  paint,
  eye,
}: {
  readonly full: Reflectance
  readonly strengthPercent: number
  readonly source: ReadingSource
  readonly keepers: readonly (JudgedKeeper & { readonly id: string })[]
  readonly paint: LookedPaint
  readonly eye: readonly EyeSaid[]
}) {
  const { prepared } = useLight()
  const beside = useMemo(
    () =>
      prepared
        ? besideStaying(prepared, { reflectance: full, source, strengthPercent }, keepers).map(
            (each) => ({
              ...each,
              said: eyeOf(eye, paint, each.id),
            }),
          )
        : [],
    [prepared, full, source, strengthPercent, keepers, eye, paint],
  )
  if (beside.length === 0) return null
  return (
    <section aria-label="Beside what stays">
      <h2 className="text-body leading-6">Beside what stays</h2>
      <ul>
        {beside.map(({ id, name, reading, said }) => (
          <li key={id} className="flex items-start gap-2 text-small">
            <JudgementMark judgement={reading.judgement} />
            <p>
              {said && <EyeLine said={said} />}
              <span className="font-medium">
                {name}: {JUDGEMENT_WORDS[reading.judgement]}.
              </span>{' '}
              {reading.sentence}
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}

export function Said({
  name,
  sentences,
}: {
  readonly name: string
  readonly sentences: readonly string[]
}) {
  return (
    <div className="border-t border-ink pt-2">
      <h2 className="text-body leading-6">{name}</h2>
      {sentences.map((sentence) => (
        <p key={sentence} className="text-small">
          {sentence}
        </p>
      ))}
    </div>
  )
}
