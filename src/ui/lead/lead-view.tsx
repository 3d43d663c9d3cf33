'use client'

import type { EyeSaid } from '@/core/record/eye-said'
import { useMemo, useState } from 'react'
import { HOUSE_RULES, type HouseRules } from '@/core/advice/house-rules'
import type { DeckName } from '@/workers/fetch-deck'
import { useDecks } from '../deck/use-decks'
import { Link } from '../frame/page-link'
import { useLight } from '../light-bar/light-context'
import { takingUp } from '../record/taking-up'
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
  /** "deck colour id, strength" of the candidates. */
  readonly taken: readonly string[]
  /** Names of the schemes that this room holds. */
  readonly schemes: readonly string[]
  /** What the eye said in the room, pair by pair. */
  readonly eye: readonly EyeSaid[]
}

/** Which piece leads, and the two schemes that can be drawn from it, side by side. */
export function LeadView({
  visitId,
  roomId,
  keepers,
  chosen,
  decks,
  rules,
  weakestPercent,
  taken,
  eye,
  schemes,
}: Props) {
  const { change, message } = useChange()
  const keepScheme = useKeepScheme({ visitId, roomId, schemes, change })
  const [leadId, setLeadId] = useState(chosen ?? suggestedLead(keepers)?.id)
  const piece = keepers.find(({ id }) => id === leadId) ?? keepers[0]

  if (!piece)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">Which piece leads?</h1>
        <p className="my-3">
          Nothing stays here yet. Enter what stays first, the costliest to change first.
        </p>
      </main>
    )
  return (
    <main className="min-h-0 flex-1 overflow-y-auto p-5">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-head">Which piece leads?</h1>
        {schemes.length > 0 && (
          <Link href="schemes" className="text-small underline underline-offset-4">
            {schemes.length === 1 ? 'The scheme' : `${schemes.length} schemes`} saved for this room
          </Link>
        )}
        <p role="status" className="text-small font-semibold">
          {message}
        </p>
      </div>
      <div role="group" aria-label="The piece that leads" className="my-3 flex flex-wrap gap-2">
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
        {...{ piece, keepers, decks, rules, weakestPercent, taken, eye }}
        onKeep={keepScheme}
        onTake={(deckColourId, strengthPercent, name) =>
          void change(
            'take-up',
            takingUp({ visitId, roomId, deckColourId, strengthPercent }),
            `${name} at ${strengthPercent} % is proposed for the walls.`,
          )
        }
      />
    </main>
  )
}

function Schemes({
  piece,
  keepers,
  decks: names,
  rules,
  weakestPercent,
  taken,
  eye,
  onTake,
  onKeep,
}: Pick<Props, 'keepers' | 'decks' | 'rules' | 'weakestPercent' | 'taken' | 'eye'> & {
  readonly piece: LeadKeeper
  readonly onTake: (deckColourId: string, strengthPercent: number, name: string) => void
  readonly onKeep: (scheme: KeptScheme) => void
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
          {...{ scheme, led, rules, taken, onTake, onKeep }}
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
