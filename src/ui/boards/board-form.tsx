'use client'

import { useState, type FormEvent } from 'react'
import type { PayloadOf } from '@/commands/kinds'
import { SHEENS, type Sheen } from '@/core/paint/sheen'
import { dayNumber } from '@/core/light/calendar-date'
import { clockOfMinutes } from '@/core/light/day-clock'
import { lengthWords, typedLengthMm } from '@/core/units'
import { newId } from '../record/new-id'
import { useSettings } from '../settings/settings-context'
import type { ShownBoard } from './board-model'

/** Size, number and sheen of a board, and when its first tin is opened. */
export function BoardForm({
  visitId,
  roomId,
  board,
  isStrip,
  busy,
  visitDate,
  onKeep,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly board: ShownBoard
  /** Painted on the wall instead. */
  readonly isStrip: boolean
  readonly busy: boolean
  readonly visitDate: string
  readonly onKeep: (payload: PayloadOf<'keep-board'>, said: string) => void
}) {
  const { lengths } = useSettings()
  const [open, setOpen] = useState(board.board === null)
  const [boardId] = useState(() => board.board?.id ?? newId())
  const [wrong, setWrong] = useState('')
  const { paint, size, count, sheen } = board
  const begun = board.board?.begun ?? null
  const called = `${paint.name} at ${paint.strengthPercent} %`
  const withId = {
    ...{ visitId, boardId, candidateId: paint.id },
    roomId: isStrip ? roomId : null,
  }

  function keep(event: FormEvent<HTMLFormElement>): void {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    const text = (name: string): string => String(form.get(name) ?? '').trim()
    const [widthMm, heightMm, borderMm] = ['width', 'height', 'border'].map((name) =>
      typedLengthMm(text(name), lengths),
    )
    if (widthMm == null || heightMm == null || borderMm == null)
      return setWrong(
        `Expected lengths, as ${lengths === 'metric' ? '0.6 m or 60 cm' : '2′ or 24″'}, got “${text('width')}”, “${text('height')}”, “${text('border')}”.`,
      )
    const [date, clock] = [text('date'), text('clock')]
    const [, hours, minutes] = /^(\d{1,2}):(\d{2})$/.exec(clock) ?? []
    const isClock = hours !== undefined && Number(hours) < 24 && Number(minutes) < 60
    if ((date !== '' || clock !== '') && (dayNumber(date) === null || !isClock))
      return setWrong(
        `Expected a date that exists, as 2026-06-21, and a time, as 08:00, or neither; got “${date} ${clock}”.`,
      )
    setWrong('')
    setOpen(false)
    onKeep(
      {
        ...withId,
        ...{ widthMm, heightMm, borderMm },
        sheen: text('sheen') as Sheen,
        count: Number(text('count')),
        begun: date === '' ? null : { date, clockMinute: Number(hours) * 60 + Number(minutes) },
      },
      `${called}: saved.`,
    )
  }

  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)} className="mt-1">
      <summary className="key min-h-11 w-fit cursor-pointer px-3">
        {board.board
          ? `Change the ${isStrip ? 'strip' : 'board'} of ${called}`
          : `Make a ${isStrip ? 'strip' : 'board'} of ${called}`}
      </summary>
      <form
        onSubmit={keep}
        noValidate
        aria-label={`Board of ${called}`}
        className="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2 text-small"
      >
        <Text label="Wide" name="width" value={lengthWords(size.widthMm, lengths)} />
        <Text label="High" name="height" value={lengthWords(size.heightMm, lengths)} />
        <Text label="Border" name="border" value={lengthWords(size.borderMm, lengths)} />
        <label className="flex flex-col">
          How many
          <input
            type="number"
            name="count"
            min={1}
            max={12}
            defaultValue={count}
            className="field w-20"
          />
        </label>
        <label className="flex flex-col">
          The tester’s sheen
          <select name="sheen" defaultValue={sheen} className="field">
            {SHEENS.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
        <Text label="Painted on" name="date" value={begun?.date ?? visitDate} wide />
        <Text label="from" name="clock" value={clockOfMinutes(begun?.clockMinute ?? 480)} />
        <button type="submit" className="key key-first" aria-disabled={busy}>
          Save
        </button>
        {board.board && (
          <button
            type="button"
            className="key"
            onClick={() =>
              onKeep(
                {
                  ...withId,
                  ...size,
                  ...{ count, sheen, begun },
                  removed: true,
                },
                `${called}: removed.`,
              )
            }
          >
            Remove it
          </button>
        )}
        {wrong && (
          <p role="alert" className="basis-full font-semibold">
            {wrong}
          </p>
        )}
      </form>
    </details>
  )
}

function Text({
  label,
  name,
  value,
  wide = false,
}: {
  readonly label: string
  readonly name: string
  readonly value: string
  readonly wide?: boolean
}) {
  return (
    <label className="flex flex-col">
      {label}
      <input
        name={name}
        defaultValue={value}
        autoComplete="off"
        className={`field ${wide ? 'w-32' : 'w-24'}`}
      />
    </label>
  )
}
