import { NO_LEAN_BELOW, undertoneWords } from '../undertone/hue-name'
import { hueApartDeg, type Undertone } from '../undertone/undertone'
import { FIRM_FROM, isBad, isGood } from './chance'
import { BAD_PAIRINGS, GOOD_PAIRINGS, type Pairing } from './pairing'
import { tooMuchOf } from './reason'
import type { PartJudgement } from './judge-pair'
import { capital } from '../words'

/** One line on a pair, in the trade's words, as sure as its chance. */
export function pairSentence(said: PartJudgement): string {
  const { chance, unwanted, chanceIfExact, part, hardlyShows } = said
  const rule = unwanted ? ' The house rule wants a shared undertone here.' : ''
  const settle =
    !isFirm(chance) && isFirm(chanceIfExact) && !unwanted
      ? ` A firmer reading of the ${part} would settle it.`
      : ''
  const little = hardlyShows
    ? ` By itself it is ${hardlyShows.reason} for the ${hardlyShows.part}, which hardly shows.`
    : ''
  return `${plain(said)}${little}${rule}${settle}`
}

const isFirm = (chance: number): boolean => chance >= FIRM_FROM || chance <= 1 - FIRM_FROM

function plain(said: PartJudgement): string {
  const { chance, pairing, second, part } = said
  if (said.unwanted) return `Would be set off by the ${part}: ${because(said, 'contrasts')}.`
  const firm = isFirm(chance)
  if (isGood(chance) || isBad(chance)) {
    const verb = VERB[pairing](said, `the ${part}`)
    const or = second && second !== 'connects' ? `, or ${VERB[second](said, `the ${part}`)}` : ''
    return `${firm ? capital(verb) : `Likely ${verb}`}${or}: ${because(said, pairing)}.`
  }
  const [good, bad] = [GOOD_PAIRINGS, BAD_PAIRINGS].map((side) => strongestOf(side, said))
  return `Unsure beside the ${part}: it ${MAY[good!]}, or it ${looks(said, bad!)}.`
}

const strongestOf = (side: readonly Pairing[], { shares }: PartJudgement): Pairing =>
  side.reduce((p, q) => (shares[q] > shares[p] ? q : p))

const VERB: Record<Pairing, (said: PartJudgement, finish: string) => string> = {
  connects: (_, finish) => `connects with ${finish}`,
  'quiet stretch': (_, finish) => `is a quiet stretch of ${finish}`,
  contrasts: (_, finish) => `is set off by ${finish}`,
  bridges: (_, finish) => `bridges to ${finish}`,
  'near miss': (_, finish) => `is a near miss beside ${finish}`,
  'washes out': (_, finish) => `looks empty beside ${finish}`,
  dirties: ({ looksDirty }, finish) =>
    looksDirty === 'wall' ? `looks dirty beside ${finish}` : `makes ${finish} look dirty`,
  clashes: (_, finish) => `clashes with ${finish}`,
}

const MAY: Record<Pairing, string> = {
  connects: 'may connect',
  'quiet stretch': 'may pass as a quiet stretch',
  contrasts: 'may be set off',
  bridges: 'may bridge',
  'near miss': 'may come too near',
  'washes out': 'may look empty',
  dirties: 'may look dirty',
  clashes: 'may clash',
}

function looks({ looksDirty, wall, finish, part }: PartJudgement, bad: Pairing): string {
  switch (bad) {
    case 'dirties':
      return looksDirty === 'wall' ? 'looks dirty' : `makes the ${part} look dirty`
    case 'washes out':
      return 'looks empty'
    case 'near miss':
      return 'comes too near it without being the same'
    default:
      return `is a little ${tooMuchOf(wall, finish)}`
  }
}

function because(said: PartJudgement, pairing: Pairing): string {
  const { wall, finish, part, reason, looksDirty } = said
  switch (pairing) {
    case 'connects':
      return `${connection(wall, finish)} (${undertoneWords(wall)})`
    case 'quiet stretch':
      return 'lighter, softer, the same way leaning'
    case 'contrasts':
      return 'two colours from opposite sides'
    case 'bridges':
      return 'they lean apart, with lightness enough between them'
    case 'near miss':
      return `close and not the same, ${reason}`
    case 'washes out':
      return `${reason} for it, the ${part} has more colour`
    case 'dirties':
      return looksDirty === 'wall'
        ? `${reason}, and the ${part} is the cleaner`
        : `${reason}, and the cleaner of the two`
    case 'clashes':
      return `${reason} for it (${undertoneWords(wall)}; the ${part} ${leanClause(finish)})`
  }
}

// Leans within 30° of each other count as one way.
const SAME_WAY_DEG = 30

function connection(wall: Undertone, finish: Undertone): string {
  if (wall.c < NO_LEAN_BELOW && finish.c < NO_LEAN_BELOW) return 'both are quiet'
  if (wall.c < NO_LEAN_BELOW || finish.c < NO_LEAN_BELOW)
    return 'one of them is too quiet to quarrel'
  if (hueApartDeg(wall.hueDeg, finish.hueDeg) <= SAME_WAY_DEG) return 'both lean the same way'
  return 'they lean apart, but not enough to quarrel'
}

function leanClause(finish: Undertone): string {
  const words = undertoneWords(finish)
  return words.startsWith('leans') ? words : `is ${words}`.replace('is no ', 'has no ')
}
