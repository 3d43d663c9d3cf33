'use client'

import type { EyeSaid } from '@/core/record/eye-said'
import { useMemo, useState } from 'react'
import { HOUSE_RULES, type HouseRules } from '@/core/advice/house-rules'
import type { DeckName } from '@/workers/fetch-deck'
import { useDecks } from '../deck/use-decks'
import { Link } from '../frame/page-link'
import { useLight } from '../light-bar/light-context'
import type { Sheen } from '@/core/paint/sheen'
import type { Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import type { Surface } from '@/core/record/proposal'
import { MOST_SCHEMES } from '@/core/scheme/whole-scheme'
import { useAddress, writeAddress } from '../frame/page-address'
import { TakingContext, useTakingUp, type TakenUp } from '../record/taking'
import { SavedSchemes, type SchemeKeeper, type ShownScheme } from '../schemes/saved-schemes'
import { useChange } from '../record/use-change'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { useKeepScheme } from '../schemes/use-keep-scheme'
import {
  ledBy,
  schemesOf,
  seenDecks,
  suggestedLead,
  type KeptScheme,
  type LeadKeeper,
} from './lead-model'
import { SchemePanel } from './scheme-panel'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly keepers: readonly LeadKeeper[]
  /** The piece that was chosen to lead. */
  readonly chosen: string | null
  readonly decks: readonly DeckName[]
  readonly rules: HouseRules
  readonly weakestPercent: number
  /** Candidates, to be taken up and back. */
  readonly candidates: readonly TakenUp[]
  readonly treatment: Treatment
  readonly wear: Wear
  /** The schemes that this room holds, and what they stand beside. */
  readonly saved: readonly ShownScheme[]
  readonly besides: readonly SchemeKeeper[]
  /** What is proposed now, surface by surface, to be saved as a scheme. */
  readonly stands: readonly {
    readonly surface: Surface
    readonly sheen: Sheen
    readonly deckColourId: string
    readonly strengthPercent: number
  }[]
  /** What the eye said in the room, pair by pair. */
  readonly eye: readonly EyeSaid[]
}

/** Which piece leads, the two schemes that can be drawn from it, and those that were saved, each side by side. */
export function LeadView({
  visitId,
  roomId,
  keepers,
  chosen,
  decks,
  rules,
  weakestPercent,
  candidates,
  treatment,
  wear,
  eye,
  saved,
  besides,
  stands,
}: Props) {
  const { change, busy, message } = useChange()
  const keepScheme = useKeepScheme({
    ...{ visitId, roomId, change },
    schemes: saved.map(({ name }) => name),
  })
  const taking = useTakingUp({
    ...{ visitId, roomId, treatment, wear, candidates, change },
    known: candidates,
    surface: 'walls',
  })
  const asked = useAddress().get('show')
  const [shows, setShows] = useState<'drawn' | 'saved'>(
    asked === 'saved' || (asked !== 'drawn' && saved.length > 0) ? 'saved' : 'drawn',
  )
  const [leadId, setLeadId] = useState(chosen ?? suggestedLead(keepers)?.id)
  const piece = keepers.find(({ id }) => id === leadId) ?? keepers[0]
  const isSaved = shows === 'saved' && saved.length > 0
  const isRoomLeft = saved.length < MOST_SCHEMES

  if (!piece)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">Schemes</h1>
        <p className="my-3">A scheme is drawn from a piece that stays. Nothing stays here yet.</p>
        <Link href="keepers" className="key key-first">
          Enter what stays
        </Link>
      </main>
    )
  return (
    <TakingContext value={taking}>
      <main className="min-h-0 flex-1 overflow-y-auto p-5">
        <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
          <h1 className="text-head">Schemes</h1>
          {saved.length > 0 && (
            <span role="group" aria-label="Which schemes" className="flex">
              {(['drawn', 'saved'] as const).map((each) => (
                <button
                  key={each}
                  type="button"
                  className="key -ml-px first:ml-0"
                  aria-pressed={isSaved === (each === 'saved')}
                  onClick={() => {
                    setShows(each)
                    writeAddress({ show: each })
                  }}
                >
                  {each === 'drawn' ? 'From the piece that leads' : `Saved, ${saved.length}`}
                </button>
              ))}
            </span>
          )}
          {stands.length > 0 && isRoomLeft && (
            <button
              type="button"
              className="key"
              aria-disabled={busy}
              onClick={() =>
                void keepScheme({
                  ...{ name: 'As it stands', origin: 'as it stands', accents: [] },
                  parts: stands,
                })
              }
            >
              Save what is proposed as one
            </button>
          )}
          <p role="status" aria-label="What came of it" className="text-small font-semibold">
            {message}
          </p>
        </div>
        {isSaved ? (
          <div className="mt-3">
            <SavedSchemes
              {...{ visitId, roomId, eye, change, busy }}
              schemes={saved}
              keepers={besides}
            />
          </div>
        ) : (
          <>
            <div
              role="group"
              aria-label="The piece that leads"
              className="my-3 flex flex-wrap gap-2"
            >
              {keepers.map((keeper) => (
                <button
                  key={keeper.id}
                  type="button"
                  className="key pl-1"
                  aria-pressed={keeper.id === piece.id}
                  onClick={() => {
                    setLeadId(keeper.id)
                    void change(
                      'choose-lead',
                      { visitId, roomId, keeperId: keeper.id },
                      `${keeper.name} leads.`,
                    )
                  }}
                >
                  <span className="h-9 w-14">
                    <KeeperSwatch colours={keeper.colours}>
                      {({ reflectance }) => (
                        <RelitPatch reflectance={reflectance} className="h-full w-full" />
                      )}
                    </KeeperSwatch>
                  </span>
                  {keeper.name}
                </button>
              ))}
            </div>
            <p className="mb-4 text-small text-dim">
              {piece.inspires
                ? `House rule, ${HOUSE_RULES.inspiration.schools[rules.inspiration].label.toLowerCase()}: ${HOUSE_RULES.inspiration.schools[rules.inspiration].says}`
                : 'A finish of this kind is lived with: the wall connects with it before anything else.'}
            </p>
            <Schemes
              key={piece.id}
              {...{ piece, keepers, decks, rules, weakestPercent, eye }}
              onKeep={isRoomLeft ? keepScheme : null}
            />
          </>
        )}
      </main>
    </TakingContext>
  )
}

function Schemes({
  piece,
  keepers,
  decks: names,
  rules,
  weakestPercent,
  eye,
  onKeep,
}: Pick<Props, 'keepers' | 'decks' | 'rules' | 'weakestPercent' | 'eye'> & {
  readonly piece: LeadKeeper
  /** Null where the room holds as many as it may. */
  readonly onKeep: ((scheme: KeptScheme) => void) | null
}) {
  const { prepared } = useLight()
  const decks = useDecks(names)
  const led = useMemo(() => ledBy(piece, keepers), [piece, keepers])
  const rows = useMemo(() => decks?.atStrengths(weakestPercent) ?? null, [decks, weakestPercent])
  const drawn = useMemo(() => {
    if (!prepared || !decks || !rows) return null
    const seen = seenDecks(prepared, decks, rows, eye)
    return { light: prepared, seen, schemes: schemesOf(prepared, led, seen, rules) }
  }, [prepared, decks, rows, led, rules, eye])
  if (!prepared) return <p>Too dark to see it. Step to another hour, or add a lamp.</p>
  if (!drawn) return <p role="status">Drawing the schemes</p>
  return (
    <div className="grid gap-x-8 gap-y-8 lg:grid-cols-2">
      {drawn.schemes.map((scheme) => (
        <SchemePanel
          key={scheme.kind}
          {...{ scheme, led, rules, onKeep }}
          light={drawn.light}
          seen={drawn.seen}
        />
      ))}
      {drawn.schemes.length === 1 && (
        <p className="text-small">
          It has one colour, so there is one scheme. A second colour of it would give another.
        </p>
      )}
    </div>
  )
}
