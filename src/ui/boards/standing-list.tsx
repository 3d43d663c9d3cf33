'use client'

import { useState } from 'react'
import { prepareLight } from '@/core/colour/appearance'
import { lightOf } from '@/core/light/light-choice'
import { longDate } from '@/core/light/calendar-date'
import { MS_PER_MINUTE, utcMsAt } from '@/core/light/day-clock'
import { spotOf } from '@/core/light/spot'
import type { ClientResponse } from '@/core/record/look'
import { CLIENT_SAYS } from '@/core/record/look'
import { VERDICTS, VERDICT_WORDS, type Verdict } from '@/core/record/verdict'
import { useDayOf } from '../light-bar/use-day-of'
import { useLight } from '../light-bar/light-context'
import { modelThen, readingOf, type BenchKeeper } from '../bench/bench-model'
import { wasShown } from '../record/model-shown'
import { newId } from '../record/new-id'
import { useVisitRecord } from '../record/visit-record'
import { RelitPatch } from '../swatch/relit-patch'
import { VerdictMark } from '../verdict/verdict-mark'
import type { ShownBoard, ShownStanding } from './board-model'
import { capital, counted } from '@/core/words'

type Stood = ShownStanding['boards'][number]

/** Where and when to stand the boards, to be ticked off: a press keeps a look at the board there and then. */
export function StandingList({
  visitId,
  roomId,
  standings,
  possible,
  keepers,
  boards,
  isStrip,
  isBegun,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly standings: readonly ShownStanding[]
  readonly possible: number
  readonly keepers: readonly BenchKeeper[]
  readonly boards: readonly ShownBoard[]
  /** Painted on the wall instead of on a board. */
  readonly isStrip: boolean
  readonly isBegun: boolean
}) {
  const [who, setWho] = useState<'me' | 'client'>('me')
  const [said, setSaid] = useState('')
  const { settle } = useLight()
  const head = isStrip ? 'Where and when to look' : 'Where and when to stand them'
  const keep = useKeeping(visitId, roomId, keepers, isStrip)

  return (
    <section aria-label={head}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink pb-2">
        <h2 className="text-title">{head}</h2>
        {standings.length > 0 && (
          <p className="text-small text-dim">
            {counted(standings.length, 'look')} instead of {possible} close every gap.
          </p>
        )}
        {standings.length > 0 && (
          <a href={`/api/visits/${visitId}/boards?room=${roomId}`} className="key ml-auto">
            Into a calendar
          </a>
        )}
      </div>
      {standings.length === 0 && (
        <p className="py-4 text-small">
          {boards.length === 0
            ? 'Nothing goes to board yet.'
            : 'Nothing is missing: every wall, every light and all that stays was seen with a board.'}
        </p>
      )}
      {standings.length > 0 && !isBegun && (
        <p className="pt-2 text-small">
          {isStrip ? 'No strip' : 'No board'} is painted yet: the days count from the visit until it
          is said when one is.
        </p>
      )}
      {standings.length > 0 && (
        <fieldset className="flex flex-wrap items-center gap-x-4 py-2 text-small">
          <legend className="sr-only">Who looks</legend>
          {(['me', 'client'] as const).map((each) => (
            <label key={each} className="flex min-h-11 items-center gap-2 whitespace-nowrap">
              <input
                type="radio"
                name="who-looks"
                checked={who === each}
                onChange={() => setWho(each)}
                className="size-5 accent-ink"
              />
              {each === 'me' ? 'I look' : 'The client looks'}
            </label>
          ))}
          {who === 'me' && (
            <span className="flex flex-wrap gap-x-3 text-fine text-dim" aria-hidden="true">
              {VERDICTS.map((verdict) => (
                <span key={verdict} className="flex items-center gap-1">
                  <VerdictMark verdict={verdict} />
                  {VERDICT_WORDS[verdict]}
                </span>
              ))}
            </span>
          )}
          <span role="status" aria-label="What was saved" className="font-semibold">
            {said}
          </span>
        </fieldset>
      )}
      <ol>
        {standings.map((standing) => (
          <li
            key={standing.key}
            className="flex flex-wrap gap-x-4 gap-y-1 border-b border-rule py-2"
          >
            <div className="w-64 text-small max-sm:w-full">
              <p className="font-medium">{capital(standing.words)}</p>
              <p>
                {longDate(standing.date)}, {standing.clock}
              </p>
              <p className="text-fine text-dim">{standing.hourSaid}</p>
              <button
                type="button"
                className="underline underline-offset-4 min-h-11 text-fine"
                onClick={() => settle({ ...standing.choice, spot: standing.spot })}
              >
                Show that light
              </button>
            </div>
            <ul className="min-w-0 flex-1">
              {standing.boards.map((stood) => (
                <li
                  key={`${stood.paint.id} ${stood.sheen}`}
                  className="flex items-center gap-1 py-0.5 max-sm:flex-wrap"
                >
                  <RelitPatch
                    reflectance={stood.paint.reflectance}
                    className="h-11 w-14 shrink-0"
                  />
                  <span className="min-w-0 flex-1 px-1 text-fine">
                    {boards.length > 1 && `${stood.paint.name} at ${stood.paint.strengthPercent} %`}
                    {stood.isPatch && `: a brushed-out patch of the product in ${stood.sheen}`}
                  </span>
                  <Says
                    {...{ who, stood }}
                    onSay={async (verdict, client) => {
                      setSaid('')
                      const answer = await keep(standing, stood, verdict, client)
                      setSaid(answer.ok ? 'Saved.' : answer.message)
                    }}
                  />
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** The keys that say what a board came to there. */
function Says({
  who,
  stood,
  onSay,
}: {
  readonly who: 'me' | 'client'
  readonly stood: Stood
  readonly onSay: (verdict: Verdict | null, client: ClientResponse | null) => void
}) {
  const called = `${stood.paint.name} at ${stood.paint.strengthPercent} %`
  if (who === 'client')
    return CLIENT_SAYS.map((says) => (
      <button
        key={says}
        type="button"
        className="key px-2"
        aria-label={`${called}: the client says ${says}`}
        onClick={() => onSay(null, { says, words: '' })}
      >
        {says}
      </button>
    ))
  return VERDICTS.map((verdict) => (
    <button
      key={verdict}
      type="button"
      className="key min-w-11 justify-center px-2"
      aria-label={`${called}: ${VERDICT_WORDS[verdict]}`}
      title={VERDICT_WORDS[verdict]}
      onClick={() => onSay(verdict, null)}
    >
      <VerdictMark verdict={verdict} />
    </button>
  ))
}

// Within an hour a room's daylight is one light.
const EARLY_MS = 60 * MS_PER_MINUTE

/** Keeps a look at a board in its place and light, with what the model says of the pair there. */
function useKeeping(
  visitId: string,
  roomId: string,
  keepers: readonly BenchKeeper[],
  isStrip: boolean,
) {
  const { give } = useVisitRecord()
  const dayOf = useDayOf()
  return async (
    { choice, spot, keeperId, wall, date, clock }: ShownStanding,
    { paint, sheen }: Stood,
    verdict: Verdict | null,
    client: ClientResponse | null,
  ) => {
    const whole = { ...choice, spot }
    const roomDay = dayOf(date)
    // What is recorded is that it was seen there and then.
    if (roomDay && utcMsAt(roomDay.day, choice.minute) > Date.now() + EARLY_MS)
      return {
        ok: false as const,
        message: `That light comes on ${longDate(date)}, ${clock}. A look in the light that is there now is given on the bench.`,
      }
    const light = roomDay && lightOf(roomDay, whole)
    const keeper = keepers.find(({ id }) => id === keeperId)
    const place = spotOf(spot)
    const plane = wall ?? (place === 'walls' || !('plane' in place) ? 'tilted' : place.plane)
    return give({
      visitId,
      roomId,
      lookId: newId(),
      candidate: {
        candidateId: paint.id,
        deckColourId: paint.deckColourId,
        strengthPercent: paint.strengthPercent,
        sheen,
      },
      against: keeper
        ? { kind: 'keeper', keeperId: keeper.id, part: null }
        : { kind: 'wall', plane },
      seen: {
        as: 'sample',
        held: isStrip ? 'wall' : 'board',
        strengthPercent: paint.strengthPercent,
      },
      light: { ...whole, minute: Math.round(choice.minute), date, place: '', metered: null },
      verdict,
      reasons: [],
      lean: null,
      note: '',
      client,
      modelSeenBefore: wasShown(roomId, paint),
      model:
        keeper && light
          ? modelThen(
              readingOf(
                prepareLight(light.spectrum, light.illuminanceLux),
                { keeper, candidate: { ...paint, sheen } },
                null,
              ),
              keeper,
            )
          : null,
    })
  }
}
