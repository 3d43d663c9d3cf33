'use client'

import { useMemo, useState } from 'react'
import { atStrength } from '@/core/paint/strength'
import { isGood, judgementOf, type Judgement } from '@/core/pairing/chance'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { chanceInRoom } from '@/core/ranking/rank-for-room'
import { unitsApart } from '@/core/ranking/variety'
import { isRuledOut, type Lean } from '@/core/undertone/lean'
import { TONES, type ToneName } from '@/core/undertone/tone-order'
import { capital } from '@/core/words'
import { deckWords } from '../deck/deck-words'
import type { RankedFor } from './ranked-for'
import { TextKey } from '../form/text-key'
import { useLight } from '../light-bar/light-context'
import { Filters } from './filters'
import { Intensities } from './intensities'
import type { ListedDecks, ListedStrip } from '../deck/listed-decks'
import { decidingParts } from './deciding-parts'
import { ToneBands } from './tone-bands'
import { fittingPlaces, isAskedFor, NO_FILTER, type ToneFilter } from './tone-filter'
import type { Ranking } from './use-ranking'

// Strips of a tone that are laid out at once; the rest on request.
const STRIPS_AT_ONCE = 4
// Nearer than this is a neighbour of a colour.
const NEIGHBOUR = 9

/** Tone first, then intensity: the room's tones as bands, the chosen tone's strips as large swatches. */
export function Tones(props: Props) {
  const { prepared } = useLight()
  return prepared ? (
    <TonesSeen {...props} />
  ) : (
    <p>Too dark to see a colour. Step to another hour, or add a window or a lamp.</p>
  )
}

interface Props {
  readonly decks: ListedDecks
  readonly ranking: Ranking
  readonly room: RankedFor
  readonly without: readonly Lean[]
  readonly picked: number | null
  /** "More like this": only its neighbours. */
  readonly moreLike: number | null
  readonly onPick: (place: number) => void
  readonly onNoMoreLike: () => void
}

function TonesSeen({
  decks,
  ranking: { first, whole },
  room,
  without,
  picked,
  moreLike,
  onPick,
  onNoMoreLike,
}: Props) {
  const [filter, setFilter] = useState<ToneFilter>(NO_FILTER)
  const [hovered, setHovered] = useState<ListedStrip | null>(null)
  // A strip stands unfolded until another colour is at hand: that one's is then.
  const [unfoldedBy, setUnfoldedBy] = useState<{
    readonly strip: ListedStrip
    readonly picked: number | null
  } | null>(null)
  const [shown, setShown] = useState(STRIPS_AT_ONCE)
  const fitting = useMemo(
    () => (whole ? fittingPlaces(decks, whole, without) : null),
    [decks, whole, without],
  )
  const { rules } = room
  const strips = useMemo((): readonly ListedStrip[] => {
    const like = moreLike === null ? null : decks.undertoneOf(moreLike)
    if (filter === NO_FILTER && !like) return decks.strips
    return decks.strips.flatMap((strip) => {
      const places = strip.places.filter(
        (place) =>
          isAskedFor(filter, decks, place, rules, whole) &&
          (!like || unitsApart(like, decks.undertoneOf(place)) <= NEIGHBOUR),
      )
      return places.length > 0 ? [{ ...strip, places }] : []
    })
  }, [decks, filter, rules, whole, moreLike])
  const count = useMemo(() => strips.reduce((sum, { places }) => sum + places.length, 0), [strips])
  const fits = useMemo(
    () =>
      (strip: ListedStrip): boolean =>
        !fitting || strip.places.some((place) => fitting[place] === 1),
    [fitting],
  )
  const ofPicked = useMemo(
    () => (picked === null ? null : (strips.find(({ places }) => places.includes(picked)) ?? null)),
    [strips, picked],
  )
  const unfolded =
    unfoldedBy?.picked === picked && strips.some((strip) => isSame(strip, unfoldedBy.strip))
      ? unfoldedBy.strip
      : ofPicked
  function unfold(strip: ListedStrip): void {
    setUnfoldedBy({ strip, picked })
    setShown(STRIPS_AT_ONCE)
  }
  const worthOf = (strip: ListedStrip): number =>
    whole ? Math.max(...strip.places.map((place) => whole.worths[place]!)) : 0
  const siblings = useMemo(() => {
    if (!unfolded) return []
    const own = strips.find((strip) => isSame(strip, unfolded))
    const rest = strips
      .filter((strip) => strip.tone === unfolded.tone && !isSame(strip, unfolded) && fits(strip))
      .sort((p, q) => worthOf(q) - worthOf(p))
    return own ? [own, ...rest] : rest
    // eslint-disable-next-line react-hooks/exhaustive-deps -- worthOf hangs on whole alone
  }, [strips, unfolded, fits, whole])
  const judge = useJudge(room)
  const markOf = useMemo(
    () =>
      whole && judge
        ? (place: number): Judgement => {
            const { source, whiteBase } = decks.colours[place]!
            const strength = whole.strengthsPercent[place]!
            const painted = atStrength(decks.reflectanceOf(place), whiteBase, strength)
            return judgementOf(judge.of(painted, source).weighed)
          }
        : null,
    [decks, whole, judge],
  )
  const deciding = useMemo(() => decidingParts(room, first), [room, first])
  const trim = room.finishes.find(({ role }) => role.kind === 'trim') ?? null
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-start gap-x-4">
        <Filters filter={filter} count={count} onChange={setFilter} />
        {moreLike !== null && (
          <span className="text-small">
            Neighbours of {decks.colours[moreLike]!.name}.{' '}
            <TextKey onClick={onNoMoreLike}>Show all tones</TextKey>
          </span>
        )}
      </div>
      {strips.length === 0 ? (
        <p className="text-small">
          No colour in these decks fits all filters.{' '}
          <TextKey onClick={() => (setFilter(NO_FILTER), onNoMoreLike())}>No filter</TextKey>
        </p>
      ) : (
        <>
          <ToneKeys
            {...{ strips, fits }}
            tone={unfolded?.tone ?? null}
            onChoose={(tone) => {
              const own = strips.filter((strip) => strip.tone === tone)
              const best = own.filter(fits).sort((p, q) => worthOf(q) - worthOf(p))[0] ?? own[0]!
              unfold(best)
            }}
          />
          <ToneBands
            {...{ decks, strips, fits }}
            chosen={strips.find((strip) => unfolded && isSame(strip, unfolded)) ?? null}
            onHover={setHovered}
            onChoose={unfold}
          />
          <p role="status" className="min-h-5 text-fine">
            {hovered && (
              <StripWords
                {...{ decks, room, judge, without }}
                strip={hovered}
                fits={fits(hovered)}
              />
            )}
          </p>
        </>
      )}
      {siblings.length > 0 ? (
        <>
          <Intensities
            title={toneWords(siblings[0]!, siblings.length)}
            {...{ decks, picked, whole, markOf, deciding, trim, onPick }}
            strips={siblings.slice(0, shown)}
          />
          {siblings.length > shown && (
            <TextKey className="self-start" onClick={() => setShown(shown + STRIPS_AT_ONCE)}>
              More strips of this tone ({siblings.length - shown})
            </TextKey>
          )}
        </>
      ) : (
        strips.length > 0 && (
          <p className="text-small">
            Choose a tone: its strips unfold here as large swatches, from light to deep.
          </p>
        )
      )}
    </div>
  )
}

/** A key for each tone there is, with how many of its strips fit: the bands may run on beyond the screen. */
function ToneKeys({
  strips,
  fits,
  tone,
  onChoose,
}: {
  readonly strips: readonly ListedStrip[]
  readonly fits: (strip: ListedStrip) => boolean
  readonly tone: ToneName | null
  readonly onChoose: (tone: ToneName) => void
}) {
  const own = TONES.map((name) => ({
    name,
    all: strips.filter((strip) => strip.tone === name),
  })).filter(({ all }) => all.length > 0)
  return (
    <div role="group" aria-label="Unfold a tone" className="flex flex-wrap gap-x-4">
      {own.map(({ name, all }) => (
        <button
          key={name}
          type="button"
          className="relative min-h-11 text-left text-small leading-4"
          aria-pressed={name === tone}
          onClick={() => onChoose(name)}
        >
          <span className={`underline underline-offset-4 ${name === tone ? 'font-semibold' : ''}`}>
            {name}
          </span>{' '}
          <span className="block text-fine text-dim">
            <span aria-hidden="true">
              {all.some(fits) ? `${all.filter(fits).length}/${all.length}` : '–'}
            </span>
            <span className="sr-only">
              {all.filter(fits).length} of {all.length} strips fit
            </span>
          </span>
        </button>
      ))}
    </div>
  )
}

const isSame = (p: ListedStrip, q: ListedStrip): boolean =>
  p.deck.id === q.deck.id && p.strip === q.strip

const toneWords = ({ tone }: ListedStrip, count: number): string =>
  `${capital(tone)}, ${count === 1 ? 'one strip' : `${count} strips`}`

/** Judges single colours in a room; null where there is nothing to judge by. */
function useJudge(room: RankedFor) {
  const { roomDay } = useLight()
  return useMemo(() => {
    const ranked = rankedRoomOf(room, roomDay)
    return ranked.lights.length > 0 && ranked.finishes.length > 0
      ? { of: chanceInRoom(ranked), lights: ranked.lights }
      : null
  }, [room, roomDay])
}

/** What a strip is, and where nothing of it fits, why: of the colour that comes nearest. */
function StripWords({
  decks,
  room,
  judge,
  without,
  strip,
  fits,
}: {
  readonly decks: ListedDecks
  readonly room: RankedFor
  readonly judge: ReturnType<typeof useJudge>
  readonly without: readonly Lean[]
  readonly strip: ListedStrip
  readonly fits: boolean
}) {
  const reason = useMemo(() => {
    if (fits || !judge) return null
    if (strip.places.every((place) => isRuledOut(without, decks.undertoneOf(place))))
      return 'its lean is out of this room'
    const judged = strip.places.map((place) =>
      judge.of(decks.reflectanceOf(place), decks.colours[place]!.source),
    )
    const nearest = judged.reduce((p, q) => (q.chance > p.chance ? q : p))
    const finish = room.finishes[nearest.finish]!
    return isGood(nearest.chance)
      ? 'others fit better'
      : `none of it works with ${finish.name} (${finish.part}) ${judge.lights[nearest.light]!.name}`
  }, [fits, judge, strip, without, decks, room])
  return (
    <>
      <span className="font-medium">
        {strip.strip}, {strip.tone}
      </span>{' '}
      <span className="text-dim">{deckWords(strip.deck)}</span>
      {reason && `: ${reason}`}
    </>
  )
}
