import type { HouseRules } from '../advice/house-rules'
import { differenceSteps } from '../undertone/difference-words'
import { withArticle } from '../undertone/hue-name'
import { nameOf, type ColourName } from '../undertone/name'
import { undertoneName } from '../undertone/plain-name'
import type { Undertone } from '../undertone/undertone'
import { listed } from '../words'
import type { DaySight, SeenWell } from './hand-off'

// What somebody who lives in a room is told of its colours: no figures, nothing that has to be decoded.

// A change of so many CAM16-UCS units is one that is noticed from one part of the day to the next.
const NOTICED = 2.5
const LARGE = 14
const SMALL = 6

/** What a colour is, and how it changes through the day in a room. */
export function howItLooks(
  called: string,
  lrvPercent: number,
  sights: readonly DaySight[],
  rules: HouseRules,
): string {
  const main = sights.find(({ isMidday }) => isMidday) ?? sights[0]
  if (!main) return `${called} was not seen in any light of this room.`
  const changes = sights.flatMap(({ when, undertone }) => {
    const change = changeWords(main.undertone, undertone)
    if (!change) return []
    const other = turnsInto(main.undertone, undertone, lrvPercent, rules)
    const does = other ? `looks like ${withArticle(other)}` : `turns ${change}`
    return [`${when}${when.includes(',') ? ',' : ''} it ${does}`]
  })
  const stays = sights.length > 1 ? ', and stays much the same through the day' : ''
  return `${called} is ${kindOfColour(main.undertone, lrvPercent, rules)}${changes.length > 0 ? `; ${listed(changes)}` : stays}.`
}

function kindOfColour(undertone: Undertone, lrvPercent: number, rules: HouseRules): string {
  const { short, words } = nameOf(undertone, lrvPercent, rules)
  const lean = undertoneName(undertone)
  // Where a colour says its lean by its name, it is not said again.
  const leaning = words.includes('undertone') && lean !== 'none' ? ` with a hint of ${lean}` : ''
  return `${withArticle(short)}${leaning}`
}

/** What it would be called as it is seen there, where a client would not call it the same any more; null where she would. */
function turnsInto(
  from: Undertone,
  to: Undertone,
  lrvPercent: number,
  rules: HouseRules,
): string | null {
  const [was, is] = [from, to].map((each) => nameOf(each, lrvPercent, rules)) as [
    ColourName,
    ColourName,
  ]
  const isSame = [is.name, is.second].some(
    (name) => name !== null && [was.name, was.second].includes(name),
  )
  return isSame ? null : is.name
}

function changeWords(from: Undertone, to: Undertone): string | null {
  const [first, second] = differenceSteps(from, to).filter(({ size }) => size >= NOTICED)
  if (!first) return null
  const much = first.size >= LARGE ? 'much ' : first.size < SMALL ? 'a little ' : ''
  return `${much}${first.word}${second ? ` and ${second.word}` : ''}`
}

/** Why it was chosen: where it was seen to work; null where nobody saw it. */
export function whyChosen(seen: readonly SeenWell[]): string | null {
  if (seen.length === 0) return null
  const places = [...new Set(seen.map(({ beside, light }) => `beside ${beside} ${light}`))]
  const held = [...new Set(seen.map((each) => each.seen))]
  return `It was chosen because it worked ${held.length === 1 ? `${held[0]} ` : ''}${listed(places)}.`
}

/** What is still worth a look, of what was not known when it was chosen. */
export function stillToLook(gaps: readonly string[]): string | null {
  const at = gaps.flatMap((gap) => toLookAt(gap) ?? [])
  const look = at.length === 0 ? null : `look at it ${listed(at)}`
  // What nobody has seen painted is to be painted first.
  if (gaps.some((gap) => NO_BOARD.test(gap)))
    return `Nobody has seen it on a board yet: have one painted${look ? ` and ${look}` : ''} before it goes up.`
  return look && `On its board, ${look}.`
}

const NO_BOARD = /never on a board|on a screen only|never looked at/

/** "never under lamps" is to be looked at "under lamps". */
function toLookAt(gap: string): string | null {
  const sky = /^by day only under one sky: (.+)$/.exec(gap)
  if (sky) return sky[1] === 'clear' ? 'on a dull day' : 'on a clear day'
  if (NO_BOARD.test(gap)) return null
  const strength = /^never at (\d+ %)/.exec(gap)
  if (strength) return `mixed at ${strength[1]}`
  if (/^only beside what leaves/.test(gap)) return 'beside what comes instead'
  // A look beside something that leaves asks for no other.
  return / leaves: /.test(gap) ? null : gap.replace(/^never /, '')
}
