'use client'

import type { PayloadOf } from '@/commands/kinds'
import type { Reflectance } from '@/core/colour/spectrum'
import type { Sheen } from '@/core/paint/sheen'
import { eyeOf, type EyeSaid } from '@/core/record/eye-said'
import type { Surface } from '@/core/record/proposal'
import type { SchemeOrigin } from '@/core/scheme/whole-scheme'
import { pairReading } from '@/core/pairing/pair-reading'
import type { BenchCandidate, BenchKeeper } from '../bench/bench-model'
import { useLight } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import type { useChange } from '../record/use-change'
import { useTradeWords } from '../settings/settings-context'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { EyeLine } from '../verdict/eye-line'
import { JudgementMark } from '../verdict/verdict-mark'

/** A whole scheme as it stands beside the others. */
export interface ShownScheme {
  readonly id: string
  readonly name: string
  readonly origin: SchemeOrigin
  readonly isChosen: boolean
  /** Furnishings that come with it; null: all that arrive. */
  readonly comes: readonly string[] | null
  readonly parts: readonly {
    readonly surface: Surface
    readonly sheen: Sheen
    readonly paint: BenchCandidate
    readonly lrvPercent: number
  }[]
  readonly accents: readonly {
    readonly id: string
    readonly code: string
    readonly name: string
    readonly reflectance: Reflectance
  }[]
  /** What its walls do to the light of the room; null without walls. */
  readonly light: string | null
  readonly cost: string
}

export interface SchemeKeeper extends BenchKeeper {
  readonly leads: boolean
  /** A furnishing that arrives, or is considered: it may come with one scheme and not with another. */
  readonly mayCome: boolean
}

/** The whole schemes that were saved for a room, side by side under one light; the chosen one goes to the ruling. */
export function SavedSchemes({
  visitId,
  roomId,
  schemes,
  keepers,
  eye,
  change,
  busy,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly schemes: readonly ShownScheme[]
  readonly keepers: readonly SchemeKeeper[]
  /** What the eye said in the room, pair by pair. */
  readonly eye: readonly EyeSaid[]
  readonly change: ReturnType<typeof useChange>['change']
  readonly busy: boolean
}) {
  const kept = ({
    id,
    name,
    origin,
    parts,
    accents,
    comes,
  }: ShownScheme): PayloadOf<'keep-scheme'> => ({
    ...{ visitId, roomId, schemeId: id, name, origin, removed: false },
    parts: parts.map(({ surface, sheen, paint }) => ({
      ...{ surface, sheen, candidateId: paint.id },
      deckColourId: paint.deckColourId,
      strengthPercent: paint.strengthPercent,
    })),
    accents: accents.map((accent) => accent.id),
    comes: comes && [...comes],
  })
  const mayCome = keepers.filter((keeper) => keeper.mayCome)
  const comesWith = ({ comes }: ShownScheme, id: string): boolean => comes?.includes(id) ?? true
  return (
    <ul className="flex gap-6 max-lg:flex-col">
      {schemes.map((scheme) => (
        <li key={scheme.id} className="min-w-0 flex-1" aria-label={scheme.name}>
          <Panel
            {...{ scheme, eye }}
            keepers={keepers.filter((each) => !each.mayCome || comesWith(scheme, each.id))}
          />
          {mayCome.length > 0 && (
            <div
              role="group"
              aria-label={`What comes with “${scheme.name}”`}
              className="mt-2 flex flex-wrap items-center gap-2 text-small"
            >
              With it
              {mayCome.map((furnishing) => {
                const isWithIt = comesWith(scheme, furnishing.id)
                return (
                  <button
                    key={furnishing.id}
                    type="button"
                    className="key px-2"
                    aria-pressed={isWithIt}
                    aria-disabled={busy}
                    onClick={() =>
                      void change(
                        'keep-scheme',
                        {
                          ...kept(scheme),
                          comes: mayCome
                            .filter(({ id }) => (id === furnishing.id) !== comesWith(scheme, id))
                            .map(({ id }) => id),
                        },
                        isWithIt
                          ? `${furnishing.name} does not come with “${scheme.name}”.`
                          : `${furnishing.name} comes with “${scheme.name}”.`,
                      )
                    }
                  >
                    {furnishing.name}
                  </button>
                )
              })}
            </div>
          )}
          <div className="mt-2 flex gap-2">
            <button
              type="button"
              className={`key ${scheme.isChosen ? '' : 'key-first'}`}
              aria-disabled={busy || scheme.isChosen}
              onClick={() =>
                scheme.isChosen
                  ? undefined
                  : void change(
                      'choose-scheme',
                      {
                        ...{ visitId, roomId, schemeId: scheme.id, name: scheme.name },
                        proposalIds: scheme.parts.map(newId),
                      },
                      `“${scheme.name}” is chosen: its colours go to board, and to the ruling.`,
                    )
              }
            >
              {scheme.isChosen ? 'Chosen' : `Choose “${scheme.name}”`}
            </button>
            {!scheme.isChosen && (
              <button
                type="button"
                className="key"
                aria-label={`Remove “${scheme.name}”`}
                onClick={() =>
                  void change('keep-scheme', { ...kept(scheme), removed: true }, 'Removed.')
                }
              >
                Remove it
              </button>
            )}
          </div>
        </li>
      ))}
    </ul>
  )
}

const WALLS: readonly Surface[] = ['walls', 'one wall', 'upper half', 'lower half']

function Panel({
  scheme,
  keepers,
  eye,
}: {
  readonly scheme: ShownScheme
  readonly eye: readonly EyeSaid[]
  readonly keepers: readonly SchemeKeeper[]
}) {
  const inWords = useTradeWords()
  const walls = scheme.parts.filter(({ surface }) => WALLS.includes(surface))
  const others = scheme.parts.filter(({ surface }) => !WALLS.includes(surface))
  return (
    <>
      <h2 className="text-title">
        {scheme.name}
        {scheme.isChosen && <span className="text-small font-semibold">, chosen</span>}
      </h2>
      <div
        className="mt-1 flex h-64"
        role="group"
        aria-label={`${scheme.name}: ${inWords('walls, trim and what stays')}`}
      >
        <div className="flex flex-[3]">
          {walls.map(({ surface, paint }) => (
            <RelitPatch
              key={surface}
              reflectance={paint.reflectance}
              label={`${inWords(surface)}: ${paint.name} at ${paint.strengthPercent} per cent`}
              className="h-full flex-1"
            />
          ))}
        </div>
        {others.map(({ surface, paint }) => (
          <RelitPatch
            key={surface}
            reflectance={paint.reflectance}
            label={`${inWords(surface)}: ${paint.name} at ${paint.strengthPercent} per cent`}
            className="h-full w-6"
          />
        ))}
        <div className="flex flex-[2] flex-col">
          {keepers.map((keeper) => (
            <div key={keeper.id} className={`min-h-0 ${keeper.leads ? 'flex-[3]' : 'flex-1'}`}>
              <KeeperSwatch colours={keeper.colours}>
                {({ part, reflectance }) => (
                  <RelitPatch
                    reflectance={reflectance}
                    label={`${keeper.name}, ${part}`}
                    className="h-full w-full"
                  />
                )}
              </KeeperSwatch>
            </div>
          ))}
        </div>
        {scheme.accents.length > 0 && (
          <div className="flex w-6 flex-col">
            {scheme.accents.map(({ id, name, reflectance }) => (
              <RelitPatch
                key={id}
                reflectance={reflectance}
                label={`Accent: ${name}`}
                className="min-h-0 flex-1"
              />
            ))}
          </div>
        )}
      </div>
      <ul className="mt-2 text-small">
        {scheme.parts.map(({ surface, sheen, paint, lrvPercent }) => (
          <li key={surface}>
            <span className="font-medium">{inWords(surface)}</span>: {paint.code}, {paint.name} at{' '}
            {paint.strengthPercent} %, {sheen}, LRV {Math.round(lrvPercent)}
          </li>
        ))}
        {scheme.accents.map(({ id, code, name }) => (
          <li key={id}>
            <span className="font-medium">accent</span>: {code}, {name}, in two places, no more
          </li>
        ))}
      </ul>
      {walls[0] && <DoesTo wall={walls[0].paint} {...{ keepers, eye }} />}
      <p className="text-small">
        {scheme.light && `It ${scheme.light}. `}
        {scheme.cost}.
      </p>
    </>
  )
}

/** What the walls do to the piece that leads, and to what they are weakest beside. */
function DoesTo({
  wall,
  keepers,
  eye,
}: {
  readonly wall: BenchCandidate
  readonly eye: readonly EyeSaid[]
  readonly keepers: readonly SchemeKeeper[]
}) {
  const { prepared } = useLight()
  if (!prepared || keepers.length === 0) return null
  const read = keepers
    .map((keeper) => ({
      keeper,
      reading: pairReading(prepared, wall, keeper),
      said: eyeOf(eye, wall, keeper.id),
    }))
    .sort((p, q) => p.reading.chance - q.reading.chance)
  const lead = read.find(({ keeper }) => keeper.leads)
  const shown = lead && lead !== read[0] ? [lead, read[0]!] : [read[0]!]
  return (
    <ul className="text-small">
      {shown.map(({ keeper, reading, said }) => (
        <li key={keeper.id} className="flex items-start gap-2">
          <JudgementMark judgement={reading.judgement} />
          <span>
            <span className="font-medium">{keeper.name}</span>
            {keeper.leads && ', which leads'}: {said && <EyeLine said={said} />}
            {reading.sentence} It {reading.back.words}.
          </span>
        </li>
      ))}
    </ul>
  )
}
