'use client'

import dynamic from 'next/dynamic'
import { part } from '../frame/part'
import { useSearchParams } from 'next/navigation'
import { Tabs } from 'radix-ui'
import { useCallback, useMemo, useState } from 'react'
import { weakestStrengthPercent, type HouseRules } from '@/core/advice/house-rules'
import { ladderOf } from '@/core/paint/strength'
import type { Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import type { RoomBrief } from '@/core/ranking/asked-room'
import type { AsIf } from '@/core/ranking/what-blocks'
import { leanWords, type Lean } from '@/core/undertone/lean'
import type { DeckName } from '@/workers/fetch-deck'
import type { AtStrength } from '@/workers/rank-protocol'
import { asIfWords, triedIn } from './tried-in'
import { useRankedFor } from './use-ranked-for'
import { useKeys } from '../keys/use-keys'
import { writeAddress } from '../frame/page-address'
import type { PayloadOf } from '@/commands/kinds'
import type { Surface } from '@/core/record/proposal'
import { TakingContext, useTakingUp, type Takeable } from '../record/taking'
import { useTradeWords } from '../settings/settings-context'
import { useChange } from '../record/use-change'
import { DecksInUse } from '../deck/decks-in-use'
import { FirstTen } from './first-ten'
import type { HouseRoom } from './other-rooms'
import type { TakenCandidate } from './proposal-line'
import { PART_KEYS, PARTS, type Part } from './parts'
import { Search } from '../deck/search'
import { useDecks } from '../deck/use-decks'
import { useRanking } from './use-ranking'
import { useTakenUp } from './use-taken-up'
import { NOTHING_YET } from '../frame/nothing-yet'

const Tones = dynamic(() => part(() => import('./tones').then(({ Tones }) => Tones)), {
  loading: NOTHING_YET,
})
const RuleSwitch = dynamic(
  () => part(() => import('./rule-switch').then(({ RuleSwitch }) => RuleSwitch)),
  {
    loading: NOTHING_YET,
  },
)
const AtHand = dynamic(() => part(() => import('./at-hand').then(({ AtHand }) => AtHand)), {
  loading: NOTHING_YET,
})
const ColourParts = dynamic(
  () => part(() => import('./colour-parts').then(({ ColourParts }) => ColourParts)),
  {
    loading: NOTHING_YET,
  },
)
const Proposed = dynamic(() => part(() => import('./proposed').then(({ Proposed }) => Proposed)), {
  loading: NOTHING_YET,
})

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

/** The colour at hand, at a strength. */
interface ChosenColour {
  readonly colourId: string
  readonly strengthPercent: number
}

/** From whole decks to three: tone, then intensity, then strength, with the first ten always in sight. */
export function ShortlistView(props: Props) {
  const { visitId, roomId, decks: all, brief, weakestPercent, without } = props
  const [tried, setTried] = useState<Partial<HouseRules>>({})
  const [asIf, setAsIf] = useState<AsIf | null>(null)
  const ruled = useMemo(() => triedIn(brief, tried, asIf), [brief, tried, asIf])
  const room = useRankedFor(
    ruled,
    tried['weakest-strength'] ? weakestStrengthPercent(ruled.rules) : weakestPercent,
  )
  const [inUse, setInUse] = useState<readonly string[]>(() => all.map(({ id }) => id))
  const names = useMemo(() => all.filter(({ id }) => inUse.includes(id)), [all, inUse])
  const decks = useDecks(names)
  const { candidates, show: showTaken, hide } = useTakenUp(props.candidates, decks)
  const ranking = useRanking(names, room, without)
  const parameters = useSearchParams()
  const [part, setPart] = useState<Part>(() =>
    parameters.get('part') === 'proposed' ? 'proposed' : 'tones',
  )
  // Counted, so that each colour that is asked for by name has its heading found.
  const [asked, setAsked] = useState(0)
  // By its id: other decks in use give a colour another place.
  const [chosen, setChosen] = useState<ChosenColour | null>(null)
  const [hasOpened, setHasOpened] = useState(false)
  const [moreLike, setMoreLike] = useState<string | null>(null)
  const { change, message } = useChange()
  const inWords = useTradeWords()

  if (decks && !hasOpened) {
    setHasOpened(true)
    const { opening } = props
    const place = opening
      ? decks.colours.findIndex(
          ({ code, deck }) =>
            code === opening.code && (opening.deckId === null || deck.id === opening.deckId),
        )
      : -1
    if (place >= 0) setChosen({ colourId: decks.colours[place]!.id, strengthPercent: 100 })
  }
  const place = decks && chosen ? decks.placeOf(chosen.colourId) : null
  const at = useMemo(
    (): AtStrength | null =>
      place !== null && chosen ? { place, strengthPercent: chosen.strengthPercent } : null,
    [place, chosen],
  )

  const pick = useCallback(
    (colour: AtStrength): void => {
      const own = decks?.colours[colour.place]
      if (!own) return
      setChosen({ colourId: own.id, strengthPercent: colour.strengthPercent })
      writeAddress({ deck: own.deck.id, colour: own.code })
    },
    [decks],
  )
  const show = (to: Part): void => {
    if (at || to === 'tones' || to === 'proposed') setPart(to)
  }
  const [surface, setSurface] = useState<Surface>('walls')
  const taking = useTakingUp({
    ...{ visitId, roomId, surface, candidates, change },
    known: props.candidates,
    treatment: props.treatment,
    wear: props.wear,
    onTaken: useCallback(
      (colour: Takeable, taken: PayloadOf<'take-up'> | null): void => {
        const place = decks?.placeOf(colour.deckColourId)
        if (!taken) hide(colour)
        else if (decks && place != null) showTaken(decks.colours[place]!, taken)
      },
      [decks, hide, showTaken],
    ),
  })
  const takeableAt = ({ place, strengthPercent }: AtStrength): Takeable => {
    const { id: deckColourId, name } = decks!.colours[place]!
    return { deckColourId, name, strengthPercent }
  }
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
        if (at && decks) taking.toggle(takeableAt(at))
      },
    },
    [
      ['↑ ↓', 'walk through the first ten'],
      ['- +', 'a rung weaker, a rung stronger'],
      ['Enter', `take the colour at hand up for the ${inWords(surface)}, or back`],
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
    <TakingContext value={taking}>
      <main className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto print:block">
        <div className="flex min-h-0 min-w-0 flex-1 flex-col max-lg:flex-none print:block">
          <div className="flex min-h-20 flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-1">
            {decks && at ? (
              <AtHand {...{ decks, at, asked }} onRung={rung} onSurface={setSurface} />
            ) : (
              <h1 className="flex-1 text-title">Shortlist</h1>
            )}
          </div>
          <Tabs.Root
            value={at || part === 'proposed' ? part : 'tones'}
            onValueChange={(to) => show(to as Part)}
            activationMode="manual"
            className="flex min-h-0 flex-1 flex-col max-lg:min-h-96 print:block"
          >
            <div className="flex flex-wrap items-end justify-between gap-x-4 border-b border-rule px-4 print:hidden">
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
                  moreLike={moreLike === null ? null : decks.placeOf(moreLike)}
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
              />
            )}
            <Tabs.Content value="proposed" className="min-h-0 flex-1 overflow-y-auto px-4 py-2">
              <Proposed {...props} candidates={candidates} change={change} />
            </Tabs.Content>
          </Tabs.Root>
          <p role="status" className="min-h-6 px-4 text-small font-semibold">
            {message}
          </p>
        </div>
        <aside
          aria-label="The first ten"
          className="flex w-[22rem] shrink-0 flex-col xl:w-[28rem] overflow-y-auto border-l border-rule px-3 py-1 max-lg:w-full max-lg:border-t max-lg:border-l-0 print:hidden"
        >
          <FirstTen
            {...{ decks, ranking, room, without, onLean }}
            asIf={asIf && { words: asIfWords(asIf, brief) }}
            onAsIf={setAsIf}
            ruleSwitch={
              decks && (
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
              setMoreLike(decks?.colours[colour.place]?.id ?? null)
              setPart('tones')
            }}
          />
        </aside>
      </main>
    </TakingContext>
  )
}
