'use client'

import { useRef, useState } from 'react'
import { z } from 'zod'
import { clockTime } from '@/core/light/day-clock'
import { modelledLight, pinsOf, type MeterReading } from '@/core/light/light-choice'
import { longDate } from '@/core/light/calendar-date'
import { questionOf } from '@/core/light/meter'
import { spotWords } from '@/core/light/spot'
import { MeterError, simulatedLightMeter, type LightMeter } from '@/devices/light-meter'
import { Field, FormMessage } from '../form/field'
import { useCommandForm, type Filled } from '../form/use-command-form'
import { readForm } from '../form/read-form'
import { numberValue } from '../form/form-values'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'
import { useLight } from '../light-bar/light-context'
import { figures, luxFigure } from '../light-bar/light-figures'

/** A meter reading as it was kept. */
export interface KeptReading extends MeterReading {
  readonly id: string
  /** The change that brought it; null where that is not known. */
  readonly commandId: string | null
  /** As 2026-12-21; null where it was not kept. */
  readonly date: string | null
  readonly device: string
}

const MeterFields = z.object({
  lux: numberValue(0.1, 150_000, 'lux'),
  cctK: numberValue(1500, 25_000, 'K'),
  /** Said after a question: it was looked into, and it stands. */
  stands: z.literal('on').optional(),
})

/** A light meter's word at this spot and hour: the model is pinned to it and shows before and after. */
export function MeterPanel({
  roomId,
  visitId,
  readings,
}: {
  readonly roomId: string
  readonly visitId: string
  readonly readings: readonly KeptReading[]
}) {
  const { roomDay, choice, light } = useLight()
  const [typed, setTyped] = useState({ lux: '', cctK: '' })
  const [device, setDevice] = useState<'typed' | 'simulated'>('typed')
  const [said, setSaid] = useState('')
  const form = useCommandForm('keep-reading', read, () => setTyped({ lux: '', cctK: '' }))
  const drop = useChange()
  const model = modelledLight(roomDay, { ...choice, source: 'room' })
  const meter = useRef<LightMeter | null>(null)
  const question = form.errors.stands

  /** What the form comes to; a reading that disagrees with the model is asked about first. */
  function read(filled: FormData): Filled<'keep-reading'> {
    const fields = readForm(MeterFields, filled)
    if (!fields.ok) return fields
    const { stands, ...figures } = fields.data
    const asked = model && questionOf({ figures, model })
    if (asked && !stands) return { ok: false, fields: { stands: asked } }
    const { sky, lampsOn, spot } = choice
    return {
      ok: true,
      payload: {
        visitId,
        roomId,
        readingId: newId(),
        date: roomDay.day.date,
        device,
        minute: Math.round(choice.minute),
        sky,
        lampsOn,
        spot,
        ...figures,
      },
    }
  }

  async function readMeter(): Promise<void> {
    // What lies there in truth is not known to a model: the stand-in takes a room a little warmer and dimmer.
    meter.current ??= simulatedLightMeter(
      () => ({ lux: (model?.illuminanceLux ?? 1) * 0.8, cctK: (model?.cctK ?? 4000) * 0.96 }),
      readings.length + 1,
    )
    try {
      const { lux, cctK } = await meter.current.read()
      setTyped({ lux: lux.toPrecision(3), cctK: cctK.toFixed(0) })
      setDevice('simulated')
      setSaid('')
    } catch (error) {
      if (!(error instanceof MeterError)) throw error
      setSaid(error.message)
    }
  }

  const pins = pinsOf(roomDay)
  return (
    <section aria-label="Meter" className="border-t border-ink pt-3">
      <h2 className="text-body">Light meter</h2>
      <p className="text-small">
        At {clockTime(roomDay.day, choice.minute)}, {spotWords(choice.spot)}, the model says{' '}
        {model ? figures(model.cctK, model.illuminanceLux) : 'nothing: too dark'}
        {(pins.daylight || pins.lamps) && light
          ? `; pinned to the meter, ${figures(light.cctK, light.illuminanceLux)}.`
          : '.'}
      </p>
      <form
        onSubmit={form.onSubmit}
        noValidate
        className="mt-2 grid grid-cols-[1fr_1fr_auto] gap-x-4"
      >
        <Field
          label="Metered"
          name="lux"
          value={typed.lux}
          onChange={(event) => {
            setTyped({ ...typed, lux: event.target.value })
            setDevice('typed')
          }}
          error={form.errors.lux}
          unit="lux"
        />
        <Field
          label="Metered colour"
          name="cctK"
          value={typed.cctK}
          onChange={(event) => {
            setTyped({ ...typed, cctK: event.target.value })
            setDevice('typed')
          }}
          error={form.errors.cctK}
          unit="K"
        />
        <div className="mt-6 flex gap-2">
          <button type="button" className="key" onClick={() => void readMeter()}>
            Read it
          </button>
          <button type="submit" className="key" disabled={form.pending}>
            Save
          </button>
        </div>
        <p className="col-span-full text-fine text-dim">
          “Read it” asks a simulated meter. {said && <strong role="alert">{said}</strong>}
        </p>
        {question && (
          <div role="alert" className="col-span-full border-l-4 border-ink pl-3 text-small">
            <p>{question}</p>
            <label className="flex min-h-11 items-center gap-2">
              <input type="checkbox" name="stands" className="size-5 accent-ink" />
              Checked: the reading stands
            </label>
          </div>
        )}
        <FormMessage>{question ? '' : form.message}</FormMessage>
      </form>
      <ul>
        {readings.map(({ id, commandId, date, minute, spot, lux, cctK, device: by }) => (
          <li
            key={id}
            className="flex items-center justify-between border-b border-rule text-small"
          >
            {date ? `${longDate(date)}, ` : ''}
            {clockTime(roomDay.day, minute)}, {spotWords(spot)}: {luxFigure(lux)} lux,{' '}
            {Math.round(cctK).toLocaleString('en-GB')} K{by === 'simulated' && ', simulated meter'}
            {commandId && (
              <button
                type="button"
                className="min-h-11 px-2 underline underline-offset-4"
                aria-label={`Drop the reading of ${clockTime(roomDay.day, minute)}`}
                onClick={() => void drop.change('undo', { visitId, commandId })}
              >
                Drop
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
