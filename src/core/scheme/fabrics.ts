import type { HouseRules } from '../advice/house-rules'
import { judgePair } from '../pairing/judge-pair'
import { roleOf } from '../pairing/role'
import { hueName, type HueName } from '../undertone/hue-name'
import { leaning, type Undertone } from '../undertone/undertone'
import type { DeckColour } from './trim'

/** Leans of fabric that sit with a wall, by depth. */
export interface FabricLeans {
  readonly connects: readonly string[]
  readonly setsOff: readonly string[]
}

const FABRIC_DEPTHS = [
  { word: 'pale', j: 88 },
  { word: 'mid', j: 62 },
  { word: 'deep', j: 32 },
] as const
// As leans of cloth go: a greyed one and a clear one, CAM16-UCS units.
const FABRIC_LEANS = [9, 18] as const
const AROUND_DEG = 20
// Cloth is bought in one piece: only what surely sits is named.
const SURE_FROM = 0.85

/**
 * Which leans and depths of cloth connect with a wall in the light at hand, and which set it off: every direction at three
 * depths, greyed and clear, each judged as upholstery.
 */
export function fabricsFor(wall: DeckColour, rules: HouseRules): FabricLeans {
  const role = roleOf('upholstery', rules)
  const found = {
    connects: new Map<string, Set<HueName>>(),
    setsOff: new Map<string, Set<HueName>>(),
  }
  for (const { word, j } of FABRIC_DEPTHS)
    for (const c of FABRIC_LEANS)
      for (let deg = 0; deg < 360; deg += AROUND_DEG) {
        const pair = judgePair(wall, { undertone: at(j, c, deg), source: 'spectral' }, role)
        if (pair.chance < SURE_FROM) continue
        const into =
          pair.pairing === 'sets off'
            ? found.setsOff
            : pair.pairing === 'shares the undertone' || pair.pairing === 'quiet relative'
              ? found.connects
              : null
        if (!into) continue
        into.set(word, (into.get(word) ?? new Set()).add(hueName(deg)))
      }
  const said = (of: Map<string, Set<HueName>>): string[] =>
    [...of].map(([depth, hues]) => `${depth}: ${[...hues].join(', ')}`)
  return { connects: said(found.connects), setsOff: said(found.setsOff) }
}

const at = (j: number, c: number, deg: number): Undertone => {
  const rad = (deg * Math.PI) / 180
  return leaning(j, c * Math.cos(rad), c * Math.sin(rad))
}

// Nearer than this two tones run into one another unless one of them is rough.
const CLOSE_LIGHTNESS = 7
const CLOSE_LEAN = 5

/** Things whose tone comes so near the wall's that texture has to keep them apart. */
export const closeTones = <T extends { readonly name: string; readonly undertone: Undertone }>(
  wall: Undertone,
  things: readonly T[],
): T[] =>
  things.filter(
    ({ undertone }) =>
      Math.abs(undertone.j - wall.j) < CLOSE_LIGHTNESS &&
      Math.hypot(undertone.a - wall.a, undertone.b - wall.b) < CLOSE_LEAN,
  )
