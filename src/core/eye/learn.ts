import { prepareLight, type PreparedLight } from '../colour/appearance'
import { lightOf, type LightChoice, type RoomDay } from '../light/light-choice'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import { chanceOfTerms, termsOfReadings, type SeenReading } from '../pairing/judge-pair'
import { chanceAsShown, type JudgedWall } from '../pairing/pair-reading'
import { partsOf, roleOfPart, type SeenPart } from '../pairing/parts'
import { weightsOf, type Role } from '../pairing/role'
import type { PairTerms } from '../pairing/score'
import { seedOfId } from '../seeded-random'
import { undertoneOf } from '../undertone/undertone'
import { AS_THE_MODEL, EYE_LIMITS, MOST_MOVED, type EyeFactors, type EyeInForce } from './factors'

/** A look that can teach: a pair as it was seen, and what the eye said before it knew the reading. */
export interface TeachingLook {
  readonly id: string
  readonly wall: SeenReading
  readonly parts: readonly SeenPart[]
  readonly varies: boolean
  readonly role: Role
  readonly works: boolean
}

/** Looks that may teach as they are kept, and the days of the rooms they were taken in, by name; cloneable. */
export interface ToTeach {
  readonly days: ReadonlyMap<string, RoomDay>
  readonly looks: readonly {
    readonly id: string
    /** The room and day. */
    readonly day: string
    readonly light: LightChoice
    readonly wall: JudgedWall
    readonly keeper: JudgedKeeper
    readonly works: boolean
  }[]
}

/** The same as they were seen; those in a light that nobody sees in are left out. */
export function teachingLooks({ days, looks }: ToTeach): TeachingLook[] {
  const lights = new Map<string, PreparedLight | null>()
  const lightAt = (day: string, choice: LightChoice): PreparedLight | null => {
    const name = `${day} ${JSON.stringify(choice)}`
    if (!lights.has(name)) {
      const light = lightOf(days.get(day)!, choice)
      lights.set(name, light && prepareLight(light.spectrum, light.illuminanceLux))
    }
    return lights.get(name)!
  }
  return looks.flatMap(({ id, day, light: choice, wall, keeper, works }): TeachingLook[] => {
    const light = lightAt(day, choice)
    if (!light) return []
    return [
      {
        ...{ id, works, varies: keeper.varies, role: keeper.role },
        wall: { undertone: undertoneOf(light, wall.reflectance), source: wall.source },
        parts: partsOf(light, keeper.colours),
      },
    ]
  })
}

// What a pair is made of is the same to every eye: worked out once a look.
const termsOfLooks = new WeakMap<SeenPart, PairTerms>()

/** The chance that a pair works, to an eye of such limits. */
export function chanceTo(
  { wall, parts, varies, role }: Omit<TeachingLook, 'id' | 'works'>,
  factors: EyeFactors,
): number {
  let least = 1
  for (const part of parts) {
    const finish = { ...part, varies }
    const terms = termsOfLooks.get(part) ?? termsOfReadings(wall, finish, role)
    termsOfLooks.set(part, terms)
    const weights = weightsOf({ ...roleOfPart(role, part), eye: { version: 0, factors } })
    const chance = chanceOfTerms(terms, wall, finish, weights)
    least = Math.min(least, chanceAsShown(chance, part.shows))
  }
  return least
}

/** From how many looks on anything is learnt. */
export const LEAST_LOOKS = 30
// An eye says the other thing once in a while whatever it sees.
const SLIPS = 0.03
// How far limits of different eyes may lie apart, as standard deviations of logarithms; which of them holds is found from
// the looks themselves, limit by limit (empirical Bayes: Efron and Morris, "Stein's estimation rule and its competitors",
// Journal of the American Statistical Association 68 (1973), 117). Most of the weight is on an eye that is as the model.
const SPREADS = [
  { spread: 0.01, weight: 2 },
  { spread: 0.3, weight: 1 },
] as const
// One eye is surer of its own line than many are together: by so much its log-odds may be steeper than the model's.
const STEEPER = [1, 1.5, 2.2, 3.2] as const

/** What an eye so sure says, from the chances that it gives. */
function likelihoodOf(
  looks: readonly TeachingLook[],
  chances: readonly number[],
  steeper: number,
): number {
  let sum = 0
  looks.forEach(({ works }, i) => {
    const chance = Math.min(1 - 1e-9, Math.max(1e-9, chances[i]!))
    const sure = 1 / (1 + ((1 - chance) / chance) ** steeper)
    const said = SLIPS + (1 - 2 * SLIPS) * sure
    sum += Math.log(works ? said : 1 - said)
  })
  return sum
}

const MOST = Math.log(1 + MOST_MOVED)
const LEAST = Math.log(1 - MOST_MOVED)
const NODES = 17
const GRID = Array.from({ length: NODES }, (_, i) => LEAST + ((MOST - LEAST) * i) / (NODES - 1))
const ROUNDS = 2

/**
 * The limits that an eye's looks speak for, drawn towards the model's: limit by limit, the mean of what is known of each
 * while the others stand, in a few rounds. Where the looks say little of a limit, it stays.
 *
 * @param looks at pairs whose reading was not known
 */
export function learnEye(looks: readonly TeachingLook[]): EyeFactors {
  let eye: EyeFactors = AS_THE_MODEL
  for (let round = 0; round < ROUNDS; round++)
    for (const limit of EYE_LIMITS) {
      const chances = GRID.map((by) => {
        const moved = { ...eye, [limit]: Math.exp(by) }
        return looks.map((look) => chanceTo(look, moved))
      })
      const logs = STEEPER.map((steeper) =>
        chances.map((each) => likelihoodOf(looks, each, steeper)),
      )
      eye = { ...eye, [limit]: Math.exp(drawnMean(logs)) }
    }
  return eye
}

/** The mean of a limit's logarithm, over every width of the prior and sureness by how well they explain the looks. */
function drawnMean(logsBySureness: readonly (readonly number[])[]): number {
  const top = Math.max(...logsBySureness.flat())
  let [sum, mean] = [0, 0]
  for (const { spread, weight: before } of SPREADS) {
    const prior = GRID.map((by) => Math.exp(-((by / spread) ** 2) / 2))
    const all = prior.reduce((total, each) => total + each, 0)
    for (const logs of logsBySureness)
      logs.forEach((log, i) => {
        const weight = (before * Math.exp(log - top) * prior[i]!) / all
        sum += weight
        mean += weight * GRID[i]!
      })
  }
  return mean / sum
}

/** How well limits say what an eye said on looks that they were not learnt from. */
export interface Told {
  readonly looks: number
  /** Mean of −ln of the chance given to what the eye said; smaller is better. */
  readonly surprise: number
  /** Looks where the likelier side was what the eye said. */
  readonly agreed: number
}

export function toldBy(looks: readonly TeachingLook[], eye: EyeFactors): Told {
  const chances = looks.map((look) => chanceTo(look, eye))
  return {
    looks: looks.length,
    surprise: looks.length === 0 ? 0 : -likelihoodOf(looks, chances, 1) / looks.length,
    agreed: looks.filter(({ works }, i) => chances[i]! >= 0.5 === works).length,
  }
}

/** What was learnt, and what it is worth on looks kept aside. */
export interface Lesson {
  readonly factors: EyeFactors
  readonly learntFrom: number
  readonly without: Told
  readonly with: Told
}

/** A lesson that was taken up once. */
export interface KeptLesson extends Lesson, EyeInForce {
  readonly id: string
  readonly learntAt: string
  readonly inForce: boolean
}

// Every third look is kept aside, by its id: the same ones whoever learns.
const KEPT_ASIDE = 3

/** Learns from two looks of three, and tries it on the third; null from too few looks. */
export function lessonOf(looks: readonly TeachingLook[]): Lesson | null {
  if (looks.length < LEAST_LOOKS) return null
  const isAside = ({ id }: TeachingLook): boolean => seedOfId(id) % KEPT_ASIDE === 0
  const teaching = looks.filter((look) => !isAside(look))
  const aside = looks.filter(isAside)
  const factors = learnEye(teaching)
  return {
    ...{ factors, learntFrom: teaching.length },
    without: toldBy(aside, AS_THE_MODEL),
    with: toldBy(aside, factors),
  }
}
