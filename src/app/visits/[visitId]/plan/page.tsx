import { Link } from '@/ui/frame/page-link'
import { loadDayPlan } from '@/app/_load/day-plan'
import { KIT } from '@/core/advice/brief'
import { longDate } from '@/core/light/calendar-date'
import { clockTime, minuteAtClockTime } from '@/core/light/day-clock'
import { dayRibbon } from '@/core/light/ribbon'
import { whyThen } from '@/core/plan/day-plan'
import { SKIES } from '@/core/light/sky'
import { ReadingPage } from '@/ui/frame/reading-page'
import { DayPicture } from '@/ui/plan/day-picture'
import { SKY_WORDS } from '@/core/light/source-words'

export const metadata = { title: 'Day plan' }

const HOURS = ['06:00', '09:00', '12:00', '15:00', '18:00', '21:00'] as const

export default async function PlanPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string }>
  searchParams: Promise<{ sky?: string }>
}) {
  const asked = (await searchParams).sky
  const sky = SKIES.find((each) => each === asked) ?? null
  const { visit, day, plan, forecast, skyAt, rooms, roomDays, hasCandidates, leftOut } =
    await loadDayPlan((await params).visitId, sky)
  if (!day || !plan)
    return (
      <ReadingPage>
        <h1 className="text-head">Day plan</h1>
        <p className="my-3">A plan needs rooms with their windows.</p>
        <Link href={`/visits/${visit.id}/rooms/new`} className="key key-first">
          Add the first room
        </Link>
      </ReadingPage>
    )
  const expected = (minute: number): string => SKY_WORDS[skyAt(minute)].toLowerCase()
  return (
    <ReadingPage wide>
      <div className="flex flex-wrap items-baseline justify-between gap-4">
        <h1 className="text-head">Day plan for {longDate(visit.visitDate)}</h1>
        <a href={`/api/visits/${visit.id}/plan`} className="key" download>
          Calendar file
        </a>
      </div>
      <p className="mt-1 text-small text-dim">
        {hasCandidates
          ? 'Each room at the hour when its candidates change most, as far as the others allow.'
          : 'Each room at the hour when reference colours change most; candidates will sharpen it.'}{' '}
        Times are the clock of {visit.placeName}.
      </p>
      <nav aria-label="Sky planned for" className="mt-3 flex">
        {[null, ...SKIES].map((each) => (
          <Link
            key={each ?? 'forecast'}
            href={each ? `?sky=${each}` : '?'}
            aria-current={each === sky ? 'page' : undefined}
            className="key -ml-px first:ml-0"
          >
            {each ? SKY_WORDS[each] : `Forecast (${forecast.source})`}
          </Link>
        ))}
      </nav>
      {plan.stops.length > 0 && (
        <DayPicture
          visitId={visit.id}
          fromMinute={plan.stops[0]!.fromMinute}
          toMinute={plan.stops.at(-1)!.toMinute}
          isByHand={visit.planOrder.length > 0}
          hours={HOURS.flatMap((clock) => {
            const minute = minuteAtClockTime(day, clock)
            return minute === null ? [] : [{ minute, clock }]
          })}
          rooms={plan.stops.map((stop) => {
            const { roomId, fromMinute, toMinute } = stop
            const ribbon = dayRibbon(
              roomDays.get(roomId)!,
              skyAt(Math.round((fromMinute + toMinute) / 2)),
            )
            return {
              id: roomId,
              name: rooms.get(roomId)!.name,
              says: `${rooms.get(roomId)!.aspect}, ${expected(fromMinute)}`,
              why: whyThen(stop),
              href: `/visits/${visit.id}/rooms/${roomId}/light?light=room&day=${visit.visitDate}&at=${clockTime(day, Math.round((fromMinute + toMinute) / 2))}`,
              fromMinute,
              toMinute,
              clock: `${clockTime(day, fromMinute)}–${clockTime(day, toMinute)}`,
              ribbon,
              moments: ribbon.moments.map(({ name, minute }) => ({
                name,
                minute,
                at: clockTime(day, minute),
              })),
            }
          })}
        />
      )}
      {leftOut.length > 0 && (
        <p className="mt-2 text-small">Too many for one visit: {leftOut.join(', ')}.</p>
      )}
      <div className="mt-6 grid gap-8 sm:grid-cols-2">
        <section aria-label="For later">
          <h2 className="text-title">Not to be seen in these hours</h2>
          <ul className="mt-1 text-small">
            {plan.later.map(({ roomId, name, minute }) => (
              <li
                key={`${roomId} ${name} ${minute}`}
                className="flex justify-between border-b border-rule py-1"
              >
                <span>
                  {rooms.get(roomId)!.name}: {name}
                </span>
                <span className="tabular-nums">{clockTime(day, minute)}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Kit">
          <h2 className="text-title">In the bag</h2>
          <ul className="mt-1 text-small">
            {KIT.map((item) => (
              <li key={item} className="border-b border-rule py-1">
                {item}
              </li>
            ))}
          </ul>
        </section>
      </div>
    </ReadingPage>
  )
}
