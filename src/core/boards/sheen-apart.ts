import { appearanceOf, type PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { inSheen, SHEENS, type Sheen, type SheenView } from '../paint/sheen'
import { undertoneOf } from '../undertone/undertone'

/** How a wanted sheen looks beside the tester's, in a light. */
export interface SheenApart {
  /** CAM16-UCS units, wanted less tester's: lightness and length of the lean, away from the window and towards it. */
  readonly away: { readonly lighter: number; readonly stronger: number }
  readonly towards: { readonly lighter: number; readonly stronger: number }
}

/**
 * What the one sheen a tester comes in does to the look of a colour that is wanted in another.
 *
 * @param reflectance as read on a matt sample
 */
export function sheenApart(
  light: PreparedLight,
  reflectance: Reflectance,
  tester: Sheen,
  wanted: Sheen,
): SheenApart {
  const seen = (sheen: Sheen, view: SheenView) => {
    const surface = inSheen(reflectance, sheen, view)
    return { j: appearanceOf(light, surface).ucs[0], c: undertoneOf(light, surface).c }
  }
  const apart = (view: SheenView) => {
    const [from, to] = [seen(tester, view), seen(wanted, view)]
    return { lighter: to.j - from.j, stronger: to.c - from.c }
  }
  return { away: apart('away from the window'), towards: apart('towards the window') }
}

// Under a unit nobody tells two boards apart that do not touch.
const TOLD_FROM = 1

const words = ({ lighter, stronger }: SheenApart['away']): string[] => [
  ...(Math.abs(lighter) < TOLD_FROM ? [] : [lighter > 0 ? 'lighter' : 'deeper']),
  ...(Math.abs(stronger) < TOLD_FROM ? [] : [stronger > 0 ? 'stronger' : 'greyer']),
]

/** "The tester is eggshell, wanted is satin: on the wall it looks deeper away from the window, lighter and greyer towards it." */
export function sheenApartSaid(tester: Sheen, wanted: Sheen, apart: SheenApart): string {
  if (tester === wanted) return `The tester is ${tester}, as wanted.`
  const sides = [
    { where: 'away from the window', words: words(apart.away) },
    { where: 'towards it', words: words(apart.towards) },
  ].filter((side) => side.words.length > 0)
  const head = `The tester is ${tester}, wanted is ${wanted}:`
  if (sides.length === 0) return `${head} no difference that an eye tells here.`
  const shinier = SHEENS.indexOf(wanted) > SHEENS.indexOf(tester)
  return `${head} as wanted it looks ${sides
    .map((side) => `${side.words.join(' and ')} ${side.where}`)
    .join(
      ', ',
    )}. ${shinier ? 'It will show more of the plaster.' : 'It will hide more of the plaster.'}`
}
