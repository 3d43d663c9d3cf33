'use client'

import { Slider, ToggleGroup } from 'radix-ui'
import { memo, useMemo, useState } from 'react'
import { longDate } from '@/core/light/calendar-date'
import { clockTime, type LocalDay } from '@/core/light/day-clock'
import {
  LIGHT_SOURCES,
  lateSunMinute,
  type LightChoice,
  type LightSource,
} from '@/core/light/light-choice'
import { lightColourWord } from '@/core/light/light-words'
import { dayRibbon, RIBBON_STEP_MINUTES } from '@/core/light/ribbon'
import { SKIES, type Sky } from '@/core/light/sky'
import type { Place } from '@/core/light/sun-position'
import { SPOT_NAMES, spotWords, type SpotName } from '@/core/light/spot'
import { useLight, useMovingLight } from './light-context'
import { SKY_WORDS, sourceWords } from '@/core/light/source-words'
import { figures } from './light-figures'
import { placeMoments, type PlacedMoment } from './moment-rows'
import { RibbonDrawing } from './ribbon-drawing'

/** The room's day, docked under every view that judges: drag it and all swatches follow. */
export function LightBar() {
  const { roomDay, visitDate, show, settle } = useLight()
  const { choice, light } = useMovingLight()
  // On a phone one line until it is touched.
  const [open, setOpen] = useState(false)
  const { room, place, day } = roomDay
  const ribbon = useMemo(() => dayRibbon(roomDay, choice.sky), [roomDay, choice.sky])
  const from = ribbon.steps[0]!.minute
  const to = ribbon.steps.at(-1)!.minute
  const lateSun = useMemo(() => lateSunMinute(place, day), [place, day])
  const minute = Math.min(to, Math.max(from, choice.source === 'west' ? lateSun : choice.minute))
  const moments = useMemo(() => placeMoments(ribbon.moments, from, to, 2), [ribbon, from, to])
  const timeless = choice.source === 'lamps'
  const forcedLamps = choice.source === 'room' && !choice.lampsOn && (light?.parts.lamp ?? 0) > 0
  const clock = clockTime(day, minute)
  const spoken = light
    ? `${clock}, ${lightColourWord(light.cctK)}, ${figures(light.cctK, light.illuminanceLux)}`
    : `${clock}, dark`

  return (
    <section
      aria-label="Light"
      data-cct={light ? Math.round(light.cctK) : ''}
      data-lux={light ? Math.round(light.illuminanceLux) : 0}
      className="shrink-0 border-t border-ink bg-paper tabular-nums print:hidden"
    >
      <button
        type="button"
        aria-expanded={open}
        className="flex min-h-11 w-full items-center justify-between gap-3 px-3 text-small sm:hidden"
        onClick={() => setOpen(!open)}
      >
        <span className="text-body font-medium">{timeless ? 'Lamps' : clock}</span>
        <span className="min-w-0 flex-1 truncate text-left text-dim">
          {light
            ? `${lightColourWord(light.cctK)}, ${figures(light.cctK, light.illuminanceLux)}`
            : 'too dark to judge'}
        </span>
        <span className="underline underline-offset-4">{open ? 'Close' : 'Light'}</span>
      </button>
      <div
        className={`grid grid-cols-[9.5rem_1fr_auto] items-stretch gap-x-4 px-3 py-2 max-lg:grid-cols-[9.5rem_1fr] max-lg:gap-y-2 max-sm:grid-cols-1 ${open ? '' : 'max-sm:hidden'}`}
      >
        <div className="flex flex-col justify-center max-sm:hidden">
          <span className="text-head leading-8 font-medium">{timeless ? 'Lamps' : clock}</span>
          <span className="text-fine">
            {longDate(day.date)}
            {day.date !== visitDate && <span className="sr-only">, not the day of the visit</span>}
          </span>
          <span className="text-fine">
            {light ? figures(light.cctK, light.illuminanceLux) : 'Too dark to judge'}
          </span>
          <span className="text-fine text-dim">
            {light
              ? `${lightColourWord(light.cctK)}${forcedLamps ? ', lamps lit' : ''}`
              : 'add a lamp'}
            {light?.directSun && !timeless ? ', direct sun in' : ''}
          </span>
        </div>

        <div className="relative">
          <Slider.Root
            className="relative flex h-11 touch-none items-stretch select-none"
            min={from}
            max={to}
            step={RIBBON_STEP_MINUTES / 2}
            value={[minute]}
            onValueChange={([value]) => show({ source: dayOf(choice.source), minute: value! })}
            onValueCommit={([value]) => settle({ source: dayOf(choice.source), minute: value! })}
          >
            <Slider.Track className="relative w-full border-b border-ink">
              <RibbonDrawing
                ribbon={ribbon}
                lampsFrom={lampsFrom(choice.lampsOn, room.lamps.length)}
              />
            </Slider.Track>
            <Slider.Thumb
              aria-label="Time of day"
              aria-valuetext={spoken}
              className="block h-11 w-11 -translate-y-0 outline-offset-0"
            >
              <span
                className={`mx-auto block h-full ${timeless ? 'w-px bg-ash' : 'w-[5px] bg-ink'}`}
              />
            </Slider.Thumb>
          </Slider.Root>
          <MomentKeys {...{ moments, day, settle }} />
        </div>

        <LightControls
          source={choice.source}
          sky={choice.sky}
          spot={choice.spot}
          lampsOn={choice.lampsOn}
          hasLamps={room.lamps.length > 0}
          place={place}
          settle={settle}
        />
      </div>
    </section>
  )
}

/** The moments that matter, each a key under its place on the ribbon. */
const MomentKeys = memo(function MomentKeys({
  moments,
  day,
  settle,
}: {
  readonly moments: readonly PlacedMoment[]
  readonly day: LocalDay
  readonly settle: (change: Partial<LightChoice>) => void
}) {
  return (
    <div className="relative h-9 text-fine max-sm:hidden">
      {moments.map((moment) => (
        <button
          key={`${moment.name}${moment.minute}`}
          type="button"
          className={`absolute border-l border-ash px-1 whitespace-nowrap hover:underline ${moment.side === 'left' ? '-translate-x-full border-r border-l-0' : ''}`}
          style={{ left: `${moment.at * 100}%`, top: `${moment.row * 1.1}rem` }}
          onClick={() => settle({ source: 'room', minute: moment.minute })}
        >
          {moment.name}
          <span className="sr-only"> at {clockTime(day, moment.minute)}</span>
        </button>
      ))}
    </div>
  )
})

/** Everything of the light but the hour: rendered when it changes, not with every frame of a drag. */
const LightControls = memo(function LightControls({
  source,
  sky,
  spot,
  lampsOn,
  hasLamps,
  place,
  settle,
}: Pick<LightChoice, 'source' | 'sky' | 'spot' | 'lampsOn'> & {
  readonly hasLamps: boolean
  readonly place: Place
  readonly settle: (change: Partial<LightChoice>) => void
}) {
  return (
    <div className="flex flex-col gap-1 max-lg:col-span-full max-lg:flex-row max-lg:flex-wrap max-lg:items-center max-lg:justify-between max-sm:flex-col max-sm:items-stretch">
      <ToggleGroup.Root
        type="single"
        aria-label="Hold it up in"
        className="flex"
        value={source}
        onValueChange={(value) => value && settle({ source: value as LightSource })}
      >
        {LIGHT_SOURCES.map((each) => (
          <ToggleGroup.Item
            key={each}
            value={each}
            disabled={each === 'lamps' && !hasLamps}
            className="key -ml-px px-3 first:ml-0 max-sm:flex-1 max-sm:px-1"
          >
            {sourceWords(each, place)}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <div className="flex flex-wrap items-center justify-between gap-x-3 text-small">
        <label className="flex min-h-9 items-center gap-2">
          <span className="sr-only">Sky</span>
          <select
            className="min-h-9 border border-ash bg-paper px-1"
            value={sky}
            onChange={(event) => settle({ sky: event.target.value as Sky })}
          >
            {SKIES.map((each) => (
              <option key={each} value={each}>
                {SKY_WORDS[each]}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-9 items-center gap-2">
          <span className="sr-only">Spot in the room</span>
          <select
            className="min-h-9 w-40 border border-ash bg-paper px-1"
            value={spot}
            onChange={(event) => settle({ spot: event.target.value as SpotName })}
          >
            {SPOT_NAMES.map((each) => (
              <option key={each} value={each}>
                {spotWords(each)}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={lampsOn}
            disabled={!hasLamps}
            onChange={(event) => settle({ lampsOn: event.target.checked })}
          />
          Lamps on
        </label>
      </div>
    </div>
  )
})

/** Dragging the day leaves the borrowed lights that have no time of their own. */
const dayOf = (source: LightSource): LightSource => (source === 'north' ? 'north' : 'room')

const lampsFrom = (lampsOn: boolean, lamps: number): number | null =>
  lampsOn && lamps > 0 ? 0 : null
