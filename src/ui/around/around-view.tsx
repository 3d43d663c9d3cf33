'use client'

import { useMemo, useState } from 'react'
import type { RoomBrief } from '@/core/ranking/asked-room'
import {
  oppositeWall,
  WALL_NAMES,
  type WallName,
  wallFacing,
  wallWidthMm,
} from '@/core/light/walls'
import { windowAreaM2 } from '@/core/light/room'
import type { Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import type { PaintedRoom, RoomJoinery } from '@/core/quantity/areas'
import { partShares, wallElevation, type ElevationRect } from '@/core/quantity/elevation'
import { isUnderfoot, type KeeperKind } from '@/core/pairing/keeper-kind'
import { lrvPercent } from '@/core/paint/lrv'
import type { Surface } from '@/core/record/proposal'
import { featureWallsFor } from '@/core/scheme/feature-wall'
import { undertoneOf } from '@/core/undertone/undertone'
import type { DeckName } from '@/workers/fetch-deck'
import type { BenchCandidate } from '../bench/bench-model'
import { useDecks } from '../deck/use-decks'
import { Choice } from '../form/choice'
import { takingUp } from '../record/taking-up'
import { useChange } from '../record/use-change'
import { useRankedFor } from '../shortlist/use-ranked-for'
import {
  aroundWall,
  besides,
  sharesSaid,
  type AroundKeeper,
  type ProposedSurface,
  type ShownOption,
} from './around-model'
import { Besides } from './besides'
import { Fold } from '../form/fold'
import { useTradeWords } from '../settings/settings-context'
import { ElevationPicture } from './elevation'
import { HowMuch } from './how-much'
import { InWallLight, useWallLight } from './in-wall-light'
import { OptionList } from './option-list'
import { RoomPaintForm } from './room-paint-form'
import type { RoomPaintValues } from './room-paint-values'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly room: PaintedRoom
  readonly treatment: Treatment
  readonly wear: Wear
  readonly joinery: RoomJoinery
  readonly values: RoomPaintValues
  readonly decks: readonly DeckName[]
  readonly brief: RoomBrief
  /** What stands for the walls, and what else could. */
  readonly walls: BenchCandidate
  readonly onWalls: readonly BenchCandidate[]
  readonly runnersUp: readonly BenchCandidate[]
  readonly keepers: readonly AroundKeeper[]
  readonly proposed: readonly ProposedSurface[]
}

/** What goes around a wall: each wall by itself, in the light that falls on it, with what stands at it. */
export function AroundView(props: Props) {
  const inWords = useTradeWords()
  const { visitId, roomId, room, treatment, wear, joinery, keepers, proposed, onWalls } = props
  const [wall, setWall] = useState<WallName>(joinery.featureWall ?? 'north')
  const [wallsId, setWallsId] = useState(props.walls.id)
  const [tried, setTried] = useState<Readonly<Partial<Record<Surface, ShownOption>>>>({})
  const { change, busy, message } = useChange()
  const asked = useRankedFor(props.brief, 100)
  const decks = useDecks(props.decks)
  const light = useWallLight(wall)
  const walls = onWalls.find(({ id }) => id === wallsId) ?? props.walls
  const around = useMemo(
    () => ({ rules: props.brief.rules, treatment, wear }),
    [props.brief.rules, treatment, wear],
  )
  const groups = useMemo(
    () =>
      decks && light
        ? aroundWall(light, walls, decks, asked, around, standingAt(wall, keepers))
        : [],
    [decks, light, walls, asked, around, keepers, wall],
  )
  const others = useMemo(
    () => (decks && light ? besides(light, walls, decks, props.runnersUp, keepers, around) : null),
    [decks, light, walls, props.runnersUp, keepers, around],
  )
  const at = useMemo(() => standingAt(wall, keepers), [wall, keepers])
  const trimStays = keepers.find(({ kind, state }) => kind === 'trim' && state === 'staying')
  const shown = (surface: Surface) =>
    tried[surface]?.reflectance ??
    proposed.find((each) => each.surface === surface)?.paint.reflectance ??
    null
  const hasHalf = tried['lower half'] !== undefined || shown('lower half') !== null
  const [cabinets, island] = [shown('cabinets') !== null, shown('island') !== null]
  const fronts = useMemo(
    () => [...(cabinets ? ['cabinets' as const] : []), ...(island ? ['island' as const] : [])],
    [cabinets, island],
  )
  const sizes = { cabinets: joinery.cabinetsM2, island: joinery.islandM2 }
  const unsized = fronts.filter((part) => sizes[part] === null)
  const elevation = useMemo(
    () => wallElevation(room, joinery, wall, at, hasHalf, fronts),
    [room, joinery, wall, at, hasHalf, fronts],
  )
  const trim =
    shown('trim') ??
    trimStays?.colours[0]?.reflectance ??
    groups[0]?.options[0]?.reflectance ??
    null
  const isFeature = joinery.featureWall === wall || tried['one wall'] !== undefined
  const half = tried['lower half']
  const ceiling = groups.find(({ surface }) => surface === 'ceiling')?.options[0]
  const colourOf = (part: ElevationRect['part']) => {
    switch (part) {
      case 'wall':
        if (half?.surface === 'upper half') return half.reflectance
        return (isFeature ? shown('one wall') : null) ?? walls.reflectance
      case 'lower half':
        return half?.surface === 'upper half' ? walls.reflectance : shown('lower half')
      case 'ceiling':
        return shown('ceiling') ?? ceiling?.reflectance ?? null
      case 'door':
        return shown('door inside') ?? trim
      case 'cabinets':
      case 'island':
        return shown(part)
      case 'baseboard':
      case 'casing':
        return trim
      default:
        return null
    }
  }
  // Every room has these; the others where there is something of the kind, or somebody has begun on it.
  const has = (surface: Surface): boolean =>
    EVERY_ROOM_HAS.includes(surface) ||
    shown(surface) !== null ||
    (surface === 'cabinets' &&
      (joinery.cabinetsM2 !== null || keepers.some(({ kind }) => kind === 'cabinets'))) ||
    (surface === 'island' && joinery.islandM2 !== null)
  const nameOf = (key: string): string => keepers.find(({ id }) => id === key)?.name ?? inWords(key)
  // What would stand apart: the colour that is tried or proposed for it, else the first that is offered.
  const apart =
    shown('one wall') ??
    groups.find(({ surface }) => surface === 'one wall')?.options[0]?.reflectance ??
    walls.reflectance
  const features = useMemo(
    () =>
      light
        ? featureWallsFor(wallsOf(room, keepers), {
            undertone: undertoneOf(light, apart),
            lrvPercent: lrvPercent(apart),
          })
        : [],
    [light, room, keepers, apart],
  )
  const propose = (option: ShownOption): void =>
    void change(
      'take-up',
      takingUp({
        ...{ visitId, roomId },
        deckColourId: option.deckColourId,
        strengthPercent: option.strengthPercent,
        surface: option.surface,
        sheen: option.sheen,
      }),
      `${option.called} proposed for ${inWords(option.surface)}.`,
    )

  const options = ({ surface, options: some }: (typeof groups)[number]) => (
    <OptionList
      key={surface}
      {...{ surface, busy }}
      options={some}
      wall={walls.reflectance}
      stays={surface === 'trim' && trimStays ? [trimStays] : []}
      tried={tried[surface] ?? null}
      onTry={(option) => setTried((before) => ({ ...before, [surface]: option }))}
      onPropose={propose}
    />
  )

  return (
    <main className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 py-3">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <h1 className="text-head">Around it</h1>
        <div role="group" aria-label="Which wall" className="flex flex-wrap">
          {WALL_NAMES.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={each === wall}
              className="key -ml-px px-3 first:ml-0 aria-pressed:bg-ink aria-pressed:text-paper"
              onClick={() => setWall(each)}
            >
              {each}
            </button>
          ))}
        </div>
        {onWalls.length > 1 && (
          <div className="w-80 max-sm:w-full">
            <Choice
              label="Walls"
              value={walls.id}
              options={onWalls.map(
                (each) => [each.id, `${each.name} at ${each.strengthPercent} %`] as const,
              )}
              onChange={setWallsId}
            />
          </div>
        )}
        <span role="status" aria-label="What came of it" className="text-small font-semibold">
          {message}
        </span>
      </div>
      <InWallLight wall={wall}>
        <div className="grid grid-cols-2 grid-rows-[auto_1fr] gap-x-6 gap-y-3 max-lg:grid-cols-1 max-lg:grid-rows-none">
          <div className="flex min-w-0 flex-col gap-3">
            <ElevationPicture
              {...{ elevation, colourOf, keepers }}
              label={`The ${wall} wall to scale, ${walls.name} at ${walls.strengthPercent} per cent, with ${at.map(({ name }) => name).join(', ') || 'nothing at it'}`}
            />
            {!light && <p>Too dark to see it. Step to another hour, or light the lamps.</p>}
            {!decks && <p>Loading the deck.</p>}
          </div>
          <div className="row-span-2 flex min-w-0 flex-col gap-3 max-lg:row-auto">
            {groups.filter(({ surface }) => has(surface)).map(options)}
            {groups.some(({ surface }) => !has(surface)) && (
              <Fold title="Other surfaces">
                <div className="flex flex-col gap-3">
                  {groups.filter(({ surface }) => !has(surface)).map(options)}
                </div>
              </Fold>
            )}
          </div>
          <div className="min-w-0">
            <HowMuch proposed={proposed} />
            <Fold title="What is seen of this wall">
              <p className="text-small">{sharesSaid(partShares(elevation), nameOf)}.</p>
              {unsized.length > 0 && (
                <p className="text-small">
                  Enter the size of the fronts ({inWords(unsized.join(', '))}), and they stand in
                  the picture.
                </p>
              )}
            </Fold>
            <Fold title="A wall of its own">
              <ol className="list-decimal pl-5 text-small">
                {features.map(({ wall: each, words }) => (
                  <li key={each}>
                    <span className="font-medium">{each}</span>: {words}
                  </li>
                ))}
              </ol>
            </Fold>
            {others && <Besides wall={walls.reflectance} {...others} />}
            <RoomPaintForm {...{ visitId, roomId }} values={props.values} />
          </div>
        </div>
      </InWallLight>
    </main>
  )
}

const EVERY_ROOM_HAS: readonly Surface[] = ['trim', 'ceiling', 'door inside']

// What is painted or part of the wall is no thing that stands before it.
const IS_JOINERY: readonly KeeperKind[] = ['trim', 'door']

/** What stays as it is and stands at a wall, and what one walks on. */
const standingAt = (wall: WallName, keepers: readonly AroundKeeper[]): AroundKeeper[] =>
  keepers.filter(
    ({ walls, kind, state }) =>
      state !== 'paintable' &&
      !IS_JOINERY.includes(kind) &&
      (walls.includes(wall) || isUnderfoot(kind)),
  )

/** Each wall with what of it is open and what stands at it. */
function wallsOf(room: PaintedRoom, keepers: readonly AroundKeeper[]) {
  const openM2 = (wall: WallName): number =>
    [...room.windows.filter(({ pitchDeg }) => pitchDeg === 90), ...room.doors]
      .filter(({ bearingDeg }) => wallFacing(room, bearingDeg) === wall)
      .reduce((sum, opening) => sum + windowAreaM2(opening), 0)
  const named = (wall: WallName) =>
    standingAt(wall, keepers)
      .filter(({ kind }) => !isUnderfoot(kind))
      .map(({ name, leads }) => ({ name, leads }))
  return WALL_NAMES.map((wall) => ({
    wall,
    opposite: oppositeWall(wall),
    open: openM2(wall) / ((wallWidthMm(room, wall) * room.heightMm) / 1e6),
    things: named(wall),
    oppositeThings: named(oppositeWall(wall)).map(({ name }) => name),
  }))
}
