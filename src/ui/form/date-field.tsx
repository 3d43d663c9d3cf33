'use client'

import { Popover } from 'radix-ui'
import { useState } from 'react'
import { DayPicker } from 'react-day-picker'
import { dateWords, typedDate } from '@/time/typed-date'
import { useTodayHere } from '../frame/use-date-here'
import { useSettings } from '../settings/settings-context'
import { Field } from './field'

/** A date as the person's locale writes it: typed, or picked from a calendar. */
export function DateField({
  label,
  name,
  date,
  error,
  hint,
}: {
  readonly label: string
  readonly name: string
  /** As 2026-06-21; null for today, where the person is. */
  readonly date: string | null
  readonly error: string | undefined
  readonly hint: string
}) {
  const { locale } = useSettings()
  const today = useTodayHere()
  const [typed, setText] = useState<string | null>(null)
  const given = date ?? today
  const text = typed ?? (given && dateWords(given, locale))
  const [open, setOpen] = useState(false)
  const picked = typedDate(text, locale)
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <div className="grid grid-cols-[1fr_auto] items-start gap-2">
        <Field
          label={label}
          name={name}
          value={text}
          onChange={(event) => setText(event.target.value)}
          error={error}
          hint={picked ? weekdayOf(picked, locale) : hint}
        />
        <Popover.Trigger asChild>
          <button type="button" className="key mt-6">
            Calendar
          </button>
        </Popover.Trigger>
      </div>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          className="z-10 border border-ink bg-paper p-3"
          aria-label="Calendar"
        >
          <DayPicker
            mode="single"
            autoFocus
            selected={picked ? noonOf(picked) : undefined}
            defaultMonth={picked ? noonOf(picked) : undefined}
            weekStartsOn={firstWeekday(locale)}
            onSelect={(day) => {
              if (!day) return
              setText(dateWords(isoOfLocal(day), locale))
              setOpen(false)
            }}
            formatters={{
              formatCaption: (month) =>
                new Intl.DateTimeFormat(locale, { month: 'long', year: 'numeric' }).format(month),
              formatWeekdayName: (day) =>
                new Intl.DateTimeFormat(locale, { weekday: 'short' }).format(day),
            }}
            classNames={{
              nav: 'flex justify-between',
              button_previous: 'size-11 grid place-items-center hover:bg-mist',
              button_next: 'size-11 grid place-items-center hover:bg-mist',
              month_caption: 'py-1 text-center text-small font-medium',
              weekday: 'size-11 text-fine font-normal text-dim',
              day_button: 'size-11 text-small tabular-nums hover:bg-mist',
              selected: 'bg-ink text-paper [&_button]:hover:bg-graphite',
              today: 'underline underline-offset-4',
              outside: 'text-dim',
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

// The calendar thinks in the browser's own days.
const noonOf = (iso: string): Date => new Date(`${iso}T12:00:00`)
const isoOfLocal = (day: Date): string =>
  [day.getFullYear(), day.getMonth() + 1, day.getDate()]
    .map((part, i) => String(part).padStart(i === 0 ? 4 : 2, '0'))
    .join('-')

const weekdayOf = (iso: string, locale: string): string =>
  new Intl.DateTimeFormat(locale, { weekday: 'long', timeZone: 'UTC' }).format(
    new Date(`${iso}T12:00:00Z`),
  )

type Weekday = 0 | 1 | 2 | 3 | 4 | 5 | 6

/** The day a week begins with there, Sunday 0; Monday where the platform does not say. */
function firstWeekday(locale: string): Weekday {
  const known = new Intl.Locale(locale) as Intl.Locale & {
    getWeekInfo?: () => { firstDay: number }
    weekInfo?: { firstDay: number }
  }
  const { firstDay = 1 } = known.getWeekInfo?.() ?? known.weekInfo ?? {}
  return (firstDay % 7) as Weekday
}
