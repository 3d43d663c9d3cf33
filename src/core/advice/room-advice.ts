import { DAYLIGHT } from '../undertone/daylight'
import type { PreparedLight } from '../colour/appearance'
import type { FlatRows } from '../colour/flat-appearance'
import type { Reflectance } from '../colour/spectrum'
import { BRIGHT_ABOVE_PERCENT } from '../light/daylight-factor'
import { lrvPercent } from '../paint/lrv'
import { chanceOver } from '../chance-over'
import { undertoneOf, type Undertone } from '../undertone/undertone'
import { coolLean, warmLean } from '../undertone/warmth'
import { colourInLight, coloursInLight, type ColourInLight } from './colour-in-light'
import type { HouseRuleName, HouseRules } from './house-rules'
import { ruleWords } from './house-rules'
import { dullLight, type RoomCharacter } from './room-character'

export type AdviceKind =
  | 'dingy'
  | 'muddy'
  | 'loses its warmth'
  | 'washes out'
  | 'cool in the cool'
  | 'warm in the cool'
  | 'too pale'
  | 'pale in bright light'
  | 'not creamy'
  | 'beside carpet'

/** One thing that speaks against a colour in a room. */
export interface Advice {
  readonly kind: AdviceKind
  /** How clearly it holds, 0 to 1. */
  readonly strength: number
  /** What it takes from the colour's worth where it holds in full, in points; see ranking/worth.ts. */
  readonly weight: number
  /** What the colour does, to be read after "it". */
  readonly words: string
  /** The house rule it follows from, or null for what the trade agrees on. */
  readonly rule: HouseRuleName | null
}

/** From this strength on it is said. */
export const SAID_FROM = 0.5

// In points of worth; see docs/model.md.
const WEIGHTS: Record<AdviceKind, number> = {
  dingy: 0.6,
  muddy: 0.5,
  'loses its warmth': 0.25,
  'washes out': 0.4,
  'cool in the cool': 0.4,
  'warm in the cool': 0.4,
  'too pale': 0.5,
  'pale in bright light': 0.5,
  'not creamy': 0.4,
  'beside carpet': 0.2,
}

// LRV from which a colour counts as pale; common practice.
const PALE_FROM_LRV = 74
// LRV up to which an off-white is not yet a white; common practice.
const OFF_WHITE_UP_TO_LRV = 85
const LRV_SPREAD = 3

const dullLights = new WeakMap<RoomCharacter, PreparedLight>()

function dullLightOnce(room: RoomCharacter): PreparedLight {
  const known = dullLights.get(room)
  if (known) return known
  const light = dullLight(room)
  dullLights.set(room, light)
  return light
}

/** A colour by daylight, as house rules speak of it. */
export interface AdvisedColour {
  readonly undertone: Undertone
  readonly lrvPercent: number
}

type Say = (kind: AdviceKind, strength: number) => void

/** Everything that is said against a colour, with how clearly it holds. */
function sayAll(
  { undertone, lrvPercent: lrv }: AdvisedColour,
  inLight: ColourInLight,
  room: RoomCharacter,
  rules: HouseRules,
  say: Say,
): void {
  const pale = chanceOver((lrv - PALE_FROM_LRV) / LRV_SPREAD)
  say('dingy', inLight.dingy)
  say('muddy', inLight.muddy)
  say('loses its warmth', inLight.losesWarmth)
  brightWhite(undertone, pale, inLight.washesOut, room, rules, say)
  if (room.coolAndEven) northRoom(undertone, pale, rules, say)
  if (room.hasCarpet)
    say('beside carpet', pale * chanceOver((OFF_WHITE_UP_TO_LRV - lrv) / LRV_SPREAD))
}

interface Saying {
  /** What the colour does, to be read after "it". */
  readonly words: string
  readonly rule?: HouseRuleName
}

/** What each is in words, in a room. */
function saying(kind: AdviceKind, room: RoomCharacter): Saying {
  const dim = room.daylightFactorPercent === 0 ? 'under its lamps' : 'on a dull day'
  switch (kind) {
    case 'dingy':
      return {
        words: `goes dingy ${dim}: too little colour left; the room asks for more colour or better lamps`,
      }
    case 'muddy':
      return { words: `goes muddy ${dim}: a strong gold in cool, weak light` }
    case 'loses its warmth':
      return { words: `loses what little warmth it has ${dim}` }
    case 'washes out':
      return {
        words: 'washes out in this very bright room; put a really clean white beside it',
        rule: 'bright-whites',
      }
    case 'not creamy':
      return { words: 'is not creamy enough to keep its warmth', rule: 'bright-whites' }
    case 'pale in bright light':
      return {
        words: 'is pale, and pale colours wash out in a very bright room',
        rule: 'bright-whites',
      }
    case 'cool in the cool':
      return { words: 'leans cool in a cool, even room', rule: 'north-room' }
    case 'warm in the cool':
      return { words: 'leans warm where the light is let be cool', rule: 'north-room' }
    case 'too pale':
      return { words: 'is too pale for a cool, even room', rule: 'north-room' }
    case 'beside carpet':
      return { words: 'is an off-white beside carpet: be careful' }
  }
}

/**
 * What the room's light and its house rules say against a colour, each with how clearly it holds. Advice takes from a
 * colour's worth; it never turns a verdict round. Trial, room and ranking all say what stands here.
 */
export function roomAdvice(
  reflectance: Reflectance,
  room: RoomCharacter,
  rules: HouseRules,
): Advice[] {
  const colour = {
    undertone: undertoneOf(DAYLIGHT, reflectance),
    lrvPercent: lrvPercent(reflectance),
  }
  const inLight = colourInLight(dullLightOnce(room), reflectance)
  const advice: Advice[] = []
  sayAll(colour, inLight, room, rules, (kind, strength) => {
    const { words, rule = null } = saying(kind, room)
    advice.push({
      kind,
      strength,
      weight: WEIGHTS[kind],
      words: rule ? `${words} (${ruleWords(rule, rules)})` : words,
      rule,
    })
  })
  return advice
}

/** Surfaces in the room's dull light, as `pointsAgainst` asks for them. */
export const inDullLight = (room: RoomCharacter, rows: FlatRows): ColourInLight[] =>
  coloursInLight(dullLightOnce(room), rows)

let points = 0
const addPoints: Say = (kind, strength) => {
  points += strength * WEIGHTS[kind]
}

/** What all of it takes from a colour's worth, in points, without a word. */
export function pointsAgainst(
  colour: AdvisedColour,
  inLight: ColourInLight,
  room: RoomCharacter,
  rules: HouseRules,
): number {
  points = 0
  sayAll(colour, inLight, room, rules, addPoints)
  return points
}

/** What is said of it, the clearest first. */
export const saidOf = (advice: readonly Advice[]): readonly Advice[] =>
  advice.filter(({ strength }) => strength >= SAID_FROM).sort((p, q) => q.strength - p.strength)

function northRoom(undertone: Undertone, pale: number, rules: HouseRules, say: Say): void {
  switch (rules['north-room']) {
    case 'warm-up':
      return say('cool in the cool', coolLean(undertone))
    case 'lean-in':
      return say('warm in the cool', warmLean(undertone))
    case 'no-whites':
      return say('too pale', pale)
  }
}

// A creamy white leans warm by this much.
const CREAMY_FROM = 3

function brightWhite(
  undertone: Undertone,
  pale: number,
  washed: number,
  room: RoomCharacter,
  rules: HouseRules,
  say: Say,
): void {
  const bright = chanceOver((room.daylightFactorPercent - BRIGHT_ABOVE_PERCENT) / 0.6)
  switch (rules['bright-whites']) {
    case 'any':
      return
    case 'creamy':
      return say(
        'not creamy',
        bright * pale * (1 - warmLean(undertone) * chanceOver(undertone.c - CREAMY_FROM)),
      )
    case 'washes-out':
      return say('pale in bright light', bright * pale)
    case 'computed':
      return say('washes out', washed)
  }
}
