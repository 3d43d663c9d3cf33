import { SKY_WORDS } from '../light/source-words'
import type { KeeperState } from '../pairing/keeper-kind'
import { isJudgedAgainst } from '../pairing/keeper-kind'
import { cellSays } from './cell'
import { isOfSample, isUnderLamps, isVerdict, type Look } from './look'
import { listed } from '../words'

/** What of a room decides what is missing before a surface of it is ruled on. */
export interface RoomToRule {
  readonly hasWindow: boolean
  readonly hasLamps: boolean
  /** Whether its weather changes so much that one sky by day is half of it. */
  readonly hasSkies: boolean
  /** Everything in it, also what leaves. */
  readonly keepers: readonly {
    readonly id: string
    readonly name: string
    readonly state: KeeperState
  }[]
}

/**
 * What a candidate's record in a room does not hold yet, each by name, what weighs most first; nothing where a ruling
 * rests on a board of its strength beside all that stays, by day in more than one weather and under lamps.
 *
 * @param looks at the candidate in that room, oldest first
 */
export function gapsOf(room: RoomToRule, looks: readonly Look[]): readonly string[] {
  // What the client said of it was seen, too.
  const standing = looks.filter(
    (look) => !look.retracted && (isVerdict(look) || look.client !== null),
  )
  const seen = standing.filter(({ seen: { as } }) => as !== 'screen')
  if (seen.length === 0)
    return [standing.length > 0 ? 'seen on a screen only' : 'never looked at in this room']
  const beside = new Set(
    seen.flatMap(({ against }) => (against.kind === 'keeper' ? [against.keeperId] : [])),
  )
  const judged = room.keepers.filter(({ state }) => isJudgedAgainst(state))
  const unseen = judged.filter(({ id }) => !beside.has(id)).map(({ name }) => name)
  const leaving = room.keepers.filter(({ id, state }) => !isJudgedAgainst(state) && beside.has(id))
  const byDay = seen.filter((look) => !isUnderLamps(look))
  const skies = new Set(byDay.map(({ light }) => light.sky))
  const { marks } = cellSays(seen)
  const { strengthPercent } = seen[0]!.candidate
  const strengths = [
    ...new Set(
      seen.flatMap((look) => (look.seen.as === 'sample' ? [look.seen.strengthPercent] : [])),
    ),
  ]
  const isOnBoard = seen.some(
    (look) =>
      look.seen.as === 'sample' && (look.seen.held === 'board' || look.seen.held === 'wall'),
  )
  return [
    ...(marks.includes('at another strength')
      ? [`never at ${strengthPercent} %, only at ${listed(strengths.map((each) => `${each} %`))}`]
      : []),
    ...(unseen.length > 0 ? [`never beside ${listed(unseen)}`] : []),
    ...(room.hasLamps && byDay.length === seen.length ? ['never under lamps'] : []),
    ...(room.hasWindow && byDay.length === 0 ? ['never by day'] : []),
    ...(isOnBoard || !seen.every(isOfSample)
      ? []
      : [
          marks.includes('on a chip only')
            ? 'on a chip only, never on a board'
            : 'never on a board',
        ]),
    ...(leaving.length > 0
      ? [
          leaving.length === beside.size
            ? `only beside what leaves: ${listed(leaving.map(({ name }) => name))}`
            : `${listed(leaving.map(({ name }) => name))} leaves: that look counts for nothing to come`,
        ]
      : []),
    ...(room.hasSkies && skies.size === 1
      ? [`by day only under one sky: ${SKY_WORDS[[...skies][0]!].toLowerCase()}`]
      : []),
  ]
}
