import type { Xyz } from '../colour/spectrum'
import { seededRandom } from '../seeded-random'
import { CONFUSIONS, offGrey, type Confusion } from './confusion'

/** A wall of bricks of many depths, one course of which is of another colour. */
export interface BrickWall {
  readonly confusion: Confusion
  /** XYZ under D65 of each brick, course by course. */
  readonly courses: readonly (readonly Xyz[])[]
  /** The course of another colour. */
  readonly odd: number
}

export const COURSES = 4
const BRICKS = 11
// Depth tells nothing: it differs from brick to brick by more than two colours of one line ever do to a single kind of cone.
const Y_PERCENT = [22, 42] as const
// About twice what nearly everybody with ordinary colour vision tells: 0.010 of u′v′ along red and green, 0.015 along blue
// and yellow (from memory of published norms).
const APART: Readonly<Record<Confusion, number>> = { protan: 0.02, deutan: 0.02, tritan: 0.035 }

/** The wall of a place in a screening, the same for the same seed. */
export function brickWall(confusion: Confusion, seed: number): BrickWall {
  const random = seededRandom(seed)
  const odd = Math.floor(random() * COURSES)
  const by = APART[confusion] * (random() < 0.5 ? 1 : -1)
  const [least, most] = Y_PERCENT
  return {
    ...{ confusion, odd },
    courses: Array.from({ length: COURSES }, (_, course) =>
      Array.from({ length: BRICKS }, () =>
        offGrey(confusion, course === odd ? by : 0, least + (most - least) * random()),
      ),
    ),
  }
}

/** What was answered to one wall. */
export interface BrickAnswer {
  readonly confusion: Confusion
  readonly isRight: boolean
}

// Who sees it is right but for a slip; who does not, guesses one of four.
const SEES = 0.95
const GUESSES = 1 / COURSES
// Wald, "Sequential tests of statistical hypotheses", Annals of Mathematical Statistics 16 (1945), 117, with errors of 1 %.
const SURE = Math.log((1 - 0.01) / 0.01)
const MOST_WALLS = 12

/** What is known of one line: told, missed, or not sure yet. */
export type Told = 'told' | 'missed' | 'unsure'

export function toldOf(answers: readonly BrickAnswer[], confusion: Confusion): Told {
  let sum = 0
  for (const answer of answers)
    if (answer.confusion === confusion)
      sum += answer.isRight ? Math.log(SEES / GUESSES) : Math.log((1 - SEES) / (1 - GUESSES))
  if (sum >= SURE) return 'told'
  return sum <= -SURE ? 'missed' : 'unsure'
}

/** The line that is asked next: of those that are not settled, the one asked least; null at the end. */
export function nextLine(answers: readonly BrickAnswer[]): Confusion | null {
  const asked = (confusion: Confusion): number =>
    answers.filter((answer) => answer.confusion === confusion).length
  const open = CONFUSIONS.filter(
    (each) => toldOf(answers, each) === 'unsure' && asked(each) < MOST_WALLS,
  )
  return open.reduce<Confusion | null>(
    (least, each) => (least === null || asked(each) < asked(least) ? each : least),
    null,
  )
}

/** What came of a screening, in plain words. */
export interface Screened {
  readonly isPlain: boolean
  readonly words: string
  /** When to let a second person look. */
  readonly second: string
}

/** @param answers to the end; see `nextLine` */
export function screened(answers: readonly BrickAnswer[]): Screened {
  const notTold = (confusion: Confusion): boolean => toldOf(answers, confusion) !== 'told'
  const redGreen = notTold('protan') || notTold('deutan')
  const blueYellow = notTold('tritan')
  if (!redGreen && !blueYellow)
    return {
      isPlain: true,
      words:
        'On this screen you told the differences that people with colour vision of the commonest kind tell.',
      second: 'Nothing here speaks for a second pair of eyes.',
    }
  const missed = [
    ...(redGreen ? ['between reds and greens'] : []),
    ...(blueYellow ? ['between blues and yellows'] : []),
  ].join(' and ')
  const when = [
    ...(redGreen
      ? ['a beige or greige that may lean pink or green', 'pink beside green', 'brown beside olive']
      : []),
    ...(blueYellow
      ? ['a cream beside a white', 'a grey that may lean blue', 'green beside blue']
      : []),
  ].join(', ')
  return {
    isPlain: false,
    words: `On this screen differences ${missed} were missed that most people tell.`,
    second: `Let a second person look before you rule on: ${when}.`,
  }
}
