'use client'

import dynamic from 'next/dynamic'
import Link from 'next/link'
import { useSearchParams } from 'next/navigation'
import { Tabs } from 'radix-ui'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { weakestStrengthPercent, type HouseRules } from '@/core/advice/house-rules'
import type { LeanWord } from '@/core/record/look'
import { atStrength, ladderOf } from '@/core/paint/strength'
import { sheenForSurface, type Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import type { RoomBrief } from '@/core/ranking/asked-room'
import { isRuledOut, leanWords, type Lean } from '@/core/undertone/lean'
import { seenLine, seenWords } from '@/core/undertone/drawn'
import { undertoneOf } from '@/core/undertone/undertone'
import { differenceWords } from '@/core/undertone/difference-words'
import { DAYLIGHT } from '@/core/undertone/daylight'
import type { DeckName } from '@/workers/fetch-deck'
import type { AtStrength, FirstRanked } from '@/workers/rank-protocol'
import { lookLight } from '../bench/bench-model'
import { useRankedFor } from './use-ranked-for'
import { useKeys } from '../keys/use-keys'
import { useLight, writeAddress } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { takingUp } from '../record/taking-up'
import { useChange } from '../record/use-change'
import { useVisitRecord } from '../record/visit-record'
import { RelitPatch } from '../swatch/relit-patch'
import { GamutMark } from '../swatch/patch'
import { useRelitColour } from '../swatch/use-relit'
import { decidingParts } from './deciding-parts'
import { DecksInUse } from './decks-in-use'
import { FirstTen } from './first-ten'
import { namesakesOf, type ListedAt, type ListedDecks } from './listed-decks'
import type { HouseRoom } from './other-rooms'
import type { TakenCandidate } from './proposal-line'
import { Search } from './search'
import { useDecks } from './use-decks'
import { useRanking } from './use-ranking'

const Tones = dynamic(() => import('./tones').then(({ Tones: part }) => part))
const RuleSwitch = dynamic(() => import('./rule-switch').then(({ RuleSwitch: part }) => part))
const Beside = dynamic(() => import('./beside').then(({ Beside: part }) => part))
const LikeThisBut = dynamic(() => import('./like-this').then(({ LikeThisBut: part }) => part))
const Strengths = dynamic(() => import('./strengths').then(({ Strengths: part }) => part))
const Why = dynamic(() => import('./why').then(({ Why: part }) => part))
const FetchNext = dynamic(() => import('./fetch-next').then(({ FetchNext: part }) => part))
const Proposed = dynamic(() => import('./proposed').then(({ Proposed: part }) => part))

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly decks: readonly DeckName[]
  /** The colour that the address names. */
  readonly opening: { readonly deckId: string | null; readonly code: string } | null
  readonly candidates: readonly TakenCandidate[]
  readonly brief: RoomBrief
  readonly weakestPercent: number
  readonly treatment: Treatment
  readonly wear: Wear
  /** Leans that are out of the room. */
  readonly without: readonly Lean[]
  readonly otherRooms: readonly HouseRoom[]
}

const PARTS = {
  tones: 'Tones',
  beside: 'Beside',
  like: 'Like this, but',
  strengths: 'Strength',
  why: 'Why',
  proposed: 'Proposed',
} as const
type Part = keyof typeof PARTS
const PART_KEYS: Readonly<Record<Part, string>> = {
  tones: 't',
  beside: 'b',
  like: 'l',
  strengths: 's',
  why: 'y',
  proposed: 'p',
}

/** From whole decks to three: tone, then intensity, then strength, with the first ten always in sight. */
export function ShortlistView(props: Props) {
  const { visitId, roomId, decks: all, candidates, brief, weakestPercent, without } = props
  const [tried, setTried] = useState<Partial<HouseRules>>({})
  const ruled = useMemo(() => ({ ...brief, rules: { ...brief.rules, ...tried } }), [brief, tried])
  const room = useRankedFor(
    ruled,
    tried['weakest-strength'] ? weakestStrengthPercent(ruled.rules) : weakestPercent,
  )
  const [inUse, setInUse] = useState<readonly string[]>(() => all.map(({ id }) => id))
  const names = useMemo(() => all.filter(({ id }) => inUse.includes(id)), [all, inUse])
  const decks = useDecks(names)
  const ranking = useRanking(names, room, without)
  const parameters = useSearchParams()
  const [part, setPart] = useState<Part>(() =>
    parameters.get('part') === 'proposed' ? 'proposed' : 'tones',
  )
  // Counted, so that each colour that is asked for by name has its heading found.
  const [asked, setAsked] = useState(0)
  const [chosen, setChosen] = useState<AtStrength | null>(null)
  const [hasOpened, setHasOpened] = useState(false)
  const [moreLike, setMoreLike] = useState<number | null>(null)
  const { change, message } = useChange()

  if (decks && !hasOpened) {
    setHasOpened(true)
    const { opening } = props
    const place = opening
      ? decks.colours.findIndex(
          ({ code, deck }) =>
            code === opening.code && (opening.deckId === null || deck.id === opening.deckId),
        )
      : -1
    if (place >= 0) setChosen({ place, strengthPercent: 100 })
  }
  const at = decks && chosen && chosen.place < decks.colours.length ? chosen : null

  const pick = useCallback(
    (colour: AtStrength): void => {
      setChosen(colour)
      const own = decks?.colours[colour.place]
      if (own) writeAddress({ deck: own.deck.id, colour: own.code })
    },
    [decks],
  )
  const show = (to: Part): void => {
    if (at || to === 'tones' || to === 'proposed') setPart(to)
  }
  const takeUp = useCallback(
    (colour: ListedAt, strengthPercent: number): void =>
      void change(
        'take-up',
        takingUp({
          visitId,
          roomId,
          deckColourId: colour.id,
          strengthPercent,
          sheen: sheenForSurface('walls', props.treatment, props.wear),
        }),
        `${colour.name} at ${strengthPercent} % is proposed for the walls.`,
      ),
    [change, visitId, roomId, props.treatment, props.wear],
  )
  function step(by: 1 | -1): void {
    const ten = ranking.first?.laidOut.slice(0, 10) ?? []
    if (ten.length === 0) return
    const now = ten.findIndex(({ place }) => place === at?.place)
    pick(ten[now < 0 ? (by > 0 ? 0 : ten.length - 1) : (now + by + ten.length) % ten.length]!)
  }
  /** The next rung of the colour at hand, weaker or stronger. */
  function rung(by: 1 | -1): void {
    if (!at || !decks) return
    const rungs = [...ladderOf(decks.colours[at.place]!.base)].sort((p, q) => by * (p - q))
    const next = rungs.find((percent) => by * (percent - at.strengthPercent) > 0)
    if (next !== undefined) pick({ place: at.place, strengthPercent: next })
  }
  const onLean = (lean: Lean, out: boolean): void =>
    void change(
      'rule-out-lean',
      { visitId, roomId, lean: lean.lean, strong: lean.strong, out },
      `${out ? 'No' : 'Again'} ${leanWords(lean)} in this room.`,
    )
  useKeys(
    {
      ...Object.fromEntries(
        Object.entries(PART_KEYS).map(([each, key]) => [key, () => show(each as Part)]),
      ),
      ArrowDown: () => step(1),
      ArrowUp: () => step(-1),
      '-': () => rung(-1),
      '+': () => rung(1),
      Enter: () => {
        if (at && decks) takeUp(decks.colours[at.place]!, at.strengthPercent)
      },
    },
    [
      ['↑ ↓', 'walk through the first ten'],
      ['- +', 'a rung weaker, a rung stronger'],
      ['Enter', 'take the colour at hand up for the walls'],
      ...Object.entries(PART_KEYS).map(
        ([each, key]) => [key.toUpperCase(), PARTS[each as Part].toLowerCase()] as const,
      ),
    ],
  )

  const proposedHere = candidates.filter(
    ({ ruledOut, proposals }) =>
      ruledOut === null &&
      proposals.some((each) => each.roomId === roomId && each.status !== 'ruled out'),
  )
  return (
    <main className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col max-lg:min-h-[34rem]">
        <div className="flex min-h-14 flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-1">
          {decks && at ? (
            <AtHand
              {...{ decks, at, visitId, roomId, asked, candidates }}
              onRung={rung}
              onTake={takeUp}
            />
          ) : (
            <h1 className="flex-1 text-title">From the decks to three</h1>
          )}
        </div>
        <Tabs.Root
          value={at || part === 'proposed' ? part : 'tones'}
          onValueChange={(to) => show(to as Part)}
          activationMode="manual"
          className="flex min-h-0 flex-1 flex-col"
        >
          <div className="flex flex-wrap items-end justify-between gap-x-4 border-b border-rule px-4">
            <Tabs.List aria-label="The colour at hand" className="flex gap-5 overflow-x-auto">
              {(Object.keys(PARTS) as Part[]).map((each) => (
                <Tabs.Trigger
                  key={each}
                  value={each}
                  disabled={!at && each !== 'tones' && each !== 'proposed'}
                  className="min-h-11 border-b-2 border-transparent text-small whitespace-nowrap disabled:text-dim data-[state=active]:border-ink data-[state=active]:font-semibold"
                >
                  {PARTS[each]}
                  {each === 'proposed' && ` ${proposedHere.length}`}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Search
              decks={decks}
              onPick={(place) => {
                pick({ place, strengthPercent: 100 })
                setAsked(asked + 1)
              }}
            />
          </div>
          <Tabs.Content
            value="tones"
            className="min-h-0 flex-1 overflow-y-auto px-4 py-2 focus-visible:outline-offset-[-3px]"
          >
            <DecksInUse decks={all} inUse={inUse} onChange={setInUse} />
            {decks ? (
              <Tones
                {...{ decks, ranking, room, without }}
                picked={at?.place ?? null}
                moreLike={moreLike}
                onPick={(place) =>
                  pick({
                    place,
                    strengthPercent: ranking.whole?.strengthsPercent[place] ?? 100,
                  })
                }
                onNoMoreLike={() => setMoreLike(null)}
              />
            ) : (
              <div className="h-52 border border-rule" />
            )}
          </Tabs.Content>
          {decks && at && (
            <ColourParts
              {...{ decks, names, at, room, part, candidates, visitId, roomId, without }}
              first={ranking.first}
              onPick={pick}
              onTake={takeUp}
            />
          )}
          <Tabs.Content value="proposed" className="min-h-0 flex-1 overflow-y-auto px-4 py-2">
            <Proposed {...props} change={change} />
          </Tabs.Content>
        </Tabs.Root>
        <p role="status" className="min-h-6 px-4 text-small font-semibold">
          {message}
        </p>
      </div>
      <aside
        aria-label="The first ten"
        className="flex w-[28rem] shrink-0 flex-col overflow-y-auto border-l border-rule px-3 py-1 max-lg:w-full max-lg:border-t max-lg:border-l-0"
      >
        <FirstTen
          {...{ decks, ranking, room, without, onLean }}
          ruleSwitch={
            ranking.first && (
              <RuleSwitch
                character={room.character}
                rules={brief.rules}
                tried={tried}
                first={ranking.first}
                onTry={setTried}
              />
            )
          }
          picked={at}
          onPick={pick}
          onMoreLike={(colour) => {
            pick(colour)
            setMoreLike(colour.place)
            setPart('tones')
          }}
        />
      </aside>
    </main>
  )
}

/** The colour at hand: what it is, whose it is, and the keys that take it further. */
function AtHand({
  decks,
  at,
  visitId,
  roomId,
  candidates,
  asked,
  onRung,
  onTake,
}: {
  readonly decks: ListedDecks
  readonly asked: number
  readonly onRung: (by: 1 | -1) => void
  readonly at: AtStrength
  readonly visitId: string
  readonly roomId: string
  readonly candidates: readonly TakenCandidate[]
  readonly onTake: (colour: ListedAt, strengthPercent: number) => void
}) {
  const { prepared } = useLight()
  const heading = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    if (asked > 0) heading.current?.focus()
  }, [asked])
  const colour = decks.colours[at.place]!
  const full = decks.reflectanceOf(at.place)
  const reflectance = useMemo(
    () => atStrength(full, colour.whiteBase, at.strengthPercent),
    [full, colour, at.strengthPercent],
  )
  const lrv = decks.lrvs[at.place]!
  const printed = colour.printedLrvPercent
  const others = useMemo(() => namesakesOf(decks, at.place), [decks, at.place])
  const isTaken = candidates.some(
    (each) =>
      each.deckColourId === colour.id &&
      each.strengthPercent === at.strengthPercent &&
      each.proposals.some((proposal) => proposal.roomId === roomId),
  )
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-3">
      <RelitPatch
        reflectance={reflectance}
        label={`${colour.name} at ${at.strengthPercent} per cent`}
        className="h-12 w-16 shrink-0"
      />
      <div className="min-w-0 flex-1">
        <h1 ref={heading} tabIndex={-1} className="text-title leading-6">
          {colour.name} at {at.strengthPercent} %
        </h1>
        <p className="text-fine text-dim">
          {colour.deck.maker}, {colour.deck.name}, {colour.code}, {colour.base} base;{' '}
          {prepared ? seenLine(seenWords(prepared, reflectance)) : 'too dark to see'}{' '}
          <OutOfGamut reflectance={reflectance} />
          {printed !== null && Math.abs(printed - lrv) > LRV_OFF && (
            <span className="font-medium text-ink">
              {' '}
              Printed LRV {printed}, its reading says {lrv.toFixed(0)}.
            </span>
          )}
          {others.map((other) => (
            <span key={other.id} className="block">
              {other.deck.maker}, {other.deck.name} has another paint of that name,{' '}
              {differenceWords(undertoneOf(DAYLIGHT, full), decks.undertoneOf(other.place))}.
            </span>
          ))}
        </p>
      </div>
      <span className="flex">
        {(
          [
            [-1, 'A rung weaker', '−'],
            [1, 'A rung stronger', '+'],
          ] as const
        ).map(([by, label, sign]) => (
          <button
            key={label}
            type="button"
            className="key -ml-px px-3 first:ml-0"
            aria-label={label}
            onClick={() => onRung(by)}
          >
            {sign}
          </button>
        ))}
      </span>
      <button
        type="button"
        className="key key-first"
        disabled={isTaken}
        onClick={() => onTake(colour, at.strengthPercent)}
      >
        {isTaken ? `Taken up at ${at.strengthPercent} %` : `Take up at ${at.strengthPercent} %`}
      </button>
      <Link
        className="min-h-11 content-center text-small underline underline-offset-4"
        href={`/visits/${visitId}/rooms/${roomId}/trial?deck=${colour.deck.id}&colour=${encodeURIComponent(colour.code)}`}
      >
        On trial
      </Link>
    </div>
  )
}

/** A printed LRV this far off the reading is pointed out. */
const LRV_OFF = 3

function OutOfGamut({ reflectance }: { readonly reflectance: Float64Array }) {
  return <GamutMark colour={useRelitColour(reflectance)} />
}

function ColourParts({
  decks,
  names,
  at,
  room,
  part,
  candidates,
  visitId,
  roomId,
  without,
  first,
  onPick,
  onTake,
}: {
  readonly decks: ListedDecks
  readonly first: FirstRanked | null
  readonly names: readonly DeckName[]
  readonly at: AtStrength
  readonly room: ReturnType<typeof useRankedFor>
  readonly part: Part
  readonly candidates: readonly TakenCandidate[]
  readonly visitId: string
  readonly roomId: string
  readonly without: readonly Lean[]
  readonly onPick: (colour: AtStrength) => void
  readonly onTake: (colour: ListedAt, strengthPercent: number) => void
}) {
  const { roomDay, choice, light } = useLight()
  const { give } = useVisitRecord()
  const [beside, setBeside] = useState<readonly number[]>([])
  const colour = decks.colours[at.place]!
  const full = decks.reflectanceOf(at.place)
  const reflectance = useMemo(
    () => atStrength(full, colour.whiteBase, at.strengthPercent),
    [full, colour, at.strengthPercent],
  )
  const candidate = candidates.find(
    (each) => each.deckColourId === colour.id && each.strengthPercent === at.strengthPercent,
  )
  const deciding = useMemo(() => decidingParts(room, first), [room, first])
  const swatch = (place: number) => ({
    id: String(place),
    label: `${decks.colours[place]!.name} ${decks.colours[place]!.code}`,
    reflectance: decks.reflectanceOf(place),
  })

  async function see(comparator: string, lean: LeanWord): Promise<boolean> {
    if (!candidate) return false
    const proposal = candidate.proposals.find((each) => each.roomId === roomId)
    const answer = await give({
      visitId,
      lookId: newId(),
      roomId,
      candidate: {
        candidateId: candidate.id,
        deckColourId: candidate.deckColourId,
        strengthPercent: candidate.strengthPercent,
        sheen: proposal?.sheen ?? 'matt',
      },
      against: { kind: 'comparator', name: comparator },
      seen: { as: 'screen' },
      light: lookLight(roomDay, choice, light, ''),
      verdict: 'unsure',
      reasons: [],
      lean,
      note: '',
      client: null,
      modelSeenBefore: false,
      model: null,
    })
    return answer.ok
  }

  const strip = decks.stripOf(at.place)
  const offered = [
    ...strip.places,
    ...candidates.flatMap(({ deckColourId }) => {
      const place = decks.colours.findIndex(({ id }) => id === deckColourId)
      return place < 0 ? [] : [place]
    }),
  ].filter(
    (place, i, all) => place !== at.place && !beside.includes(place) && all.indexOf(place) === i,
  )
  return (
    <>
      <Tabs.Content value="beside" className={PART_CLASS}>
        {part === 'beside' && (
          <Beside
            main={{
              id: 'main',
              label: `${colour.name} ${colour.code}, ${at.strengthPercent} %`,
              reflectance,
            }}
            others={beside.filter((place) => place !== at.place).map(swatch)}
            offered={offered.slice(0, 14).map(swatch)}
            onAdd={(id) => setBeside([...beside, Number(id)])}
            onTakeAway={(id) => setBeside(beside.filter((place) => place !== Number(id)))}
            onSee={candidate ? see : null}
          />
        )}
      </Tabs.Content>
      <Tabs.Content value="like" className={PART_CLASS}>
        {part === 'like' && (
          <LikeThisBut
            key={`${at.place} ${at.strengthPercent}`}
            {...{ decks, names, room, onPick }}
            from={at}
          />
        )}
      </Tabs.Content>
      <Tabs.Content value="strengths" className={PART_CLASS}>
        {part === 'strengths' && (
          <Strengths
            {...{ colour, full, deciding }}
            weakestPercent={room.weakestPercent}
            atPercent={at.strengthPercent}
            taken={
              new Set(
                candidates
                  .filter(
                    (each) =>
                      each.deckColourId === colour.id &&
                      each.proposals.some((proposal) => proposal.roomId === roomId),
                  )
                  .map(({ strengthPercent }) => strengthPercent),
              )
            }
            onShow={(strengthPercent) => onPick({ place: at.place, strengthPercent })}
            onTake={(strengthPercent) => onTake(colour, strengthPercent)}
          />
        )}
      </Tabs.Content>
      <Tabs.Content value="why" className={PART_CLASS}>
        {part === 'why' && (
          <>
            {isRuledOut(without, decks.undertoneOf(at.place)) && (
              <p className="mb-2 text-small font-medium">Its lean is out of this room.</p>
            )}
            <Why {...{ reflectance, room }} source={colour.source} />
            <FetchNext
              key={`${at.place} ${at.strengthPercent}`}
              {...{ decks, names, room, without, onPick }}
              from={at}
            />
          </>
        )}
      </Tabs.Content>
    </>
  )
}

const PART_CLASS = 'min-h-0 flex-1 overflow-y-auto px-4 py-3 data-[state=inactive]:hidden'
