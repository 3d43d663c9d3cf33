import { chanceOver } from '../chance-over'
import { hueApartDeg, roomForColour, type Undertone } from '../undertone/undertone'
import { coolLean, warmLean } from '../undertone/warmth'

type Membership = (undertone: Undertone, lrvPercent: number) => number

const LEAN_SPREAD = 1.2
const LRV_SPREAD = 3
const over = (lrv: number, limit: number): number => chanceOver((lrv - limit) / LRV_SPREAD)

const leaning =
  (hueDeg: number, halfWidthDeg: number): Membership =>
  (undertone) =>
    chanceOver((undertone.c - 3.5) / LEAN_SPREAD) *
    chanceOver((halfWidthDeg - hueApartDeg(undertone.hueDeg, hueDeg)) / 8)

// A grey keeps its name up to about this relative lean; see undertone/family.ts.
const grey: Membership = (undertone, lrv) =>
  chanceOver((0.85 * roomForColour(undertone.j) - undertone.c) / LEAN_SPREAD) *
  over(lrv, 8) *
  (1 - over(lrv, 82))

/** Words of a household and what they mean among paints. Angles as in undertone/hue-name.ts. */
const MEANINGS: readonly (readonly [word: RegExp, label: string, is: Membership])[] = [
  [/\bgr[ea]ys?\b|\bconcrete\b/, 'grey', grey],
  [/\b(cold|cool|chilly|icy)\b/, 'cold', (u, lrv) => Math.max(coolLean(u), 0.6 * grey(u, lrv))],
  [/\bwarm\b/, 'warm', warmLean],
  [
    /\b(beiges?|magnolia|biscuit)\b/,
    'beige',
    (u, lrv) => warmLean(u) * chanceOver((15 - u.c) / 2) * over(lrv, 40),
  ],
  [/\bwhites?\b/, 'white', (u, lrv) => over(lrv, 80) * chanceOver((6 - u.c) / LEAN_SPREAD)],
  [/\b(black|near-black)\b/, 'black', (_, lrv) => 1 - over(lrv, 10)],
  [/\b(dark|gloomy|deep)\b/, 'dark', (_, lrv) => 1 - over(lrv, 25)],
  [/\b(pale|light|washed)\b/, 'pale', (_, lrv) => over(lrv, 72)],
  [/\b(bright|bold|loud|strong|garish)\b/, 'loud', (u) => chanceOver((u.c - 18) / 2)],
  [/\byellows?\b|\bmustard\b/, 'yellow', leaning(88, 16)],
  [/\bgreens?\b|\bsage\b|\bmint\b/, 'green', leaning(150, 48)],
  [/\bblues?\b|\bnavy\b/, 'blue', leaning(250, 35)],
  [/\b(purples?|violets?|lilacs?|mauves?)\b/, 'violet', leaning(308, 30)],
  [/\bpinks?\b|\bblush\b/, 'pink', leaning(5, 32)],
  [/\breds?\b/, 'red', (u, lrv) => leaning(25, 20)(u, lrv) * chanceOver((u.c - 16) / 2)],
  [/\b(oranges?|peach|apricot|terracotta)\b/, 'orange', leaning(55, 15)],
  [/\bbrowns?\b/, 'brown', (u, lrv) => leaning(60, 28)(u, lrv) * (1 - over(lrv, 22))],
]

/** What a household will not have, found in its own words. */
export interface Unwanted {
  /** "grey", "cold". */
  readonly label: string
  /** How far a colour is that, 0 to 1. */
  readonly is: Membership
}

/** Whether a household will not have a colour: it is clearly what they named. */
export const isRefused = (
  unwanted: readonly Unwanted[],
  undertone: Undertone,
  lrvPercent: number,
): boolean => unwanted.some(({ is }) => is(undertone, lrvPercent) >= 0.5)

/** The words that name a colour in "nothing cold, no grey like a waiting room"; empty where none does. */
export function unwantedIn(willNotHave: string): Unwanted[] {
  const said = willNotHave.toLowerCase()
  return MEANINGS.filter(([word]) => word.test(said)).map(([, label, is]) => ({ label, is }))
}
