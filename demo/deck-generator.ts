import type { Lab } from '../src/core/colour/lab'
import { BANDS } from '../src/core/colour/spectrum'
import {
  insideReflectance,
  kOverS,
  opaqueReflectance,
  outsideReflectance,
} from '../src/core/paint/kubelka-munk'
import { labD65 } from '../src/core/paint/reading'
import type { WrittenColour } from '../src/formats/write-deck'
import type { Base } from '../src/core/paint/strength'
import { inventedNames } from './invented-names'
import { seededRandom } from '../src/core/seeded-random'

const SEED = 20_260

const whiteBase = Array.from({ length: BANDS }, (_, band) => 0.885 + 0.0018 * Math.min(band, 20))

// Our own colourants: absorption over scattering by band, per unit of tint. Edges and bands are
// invented, shaped after the families of pigments that house paints are tinted with.
const edge = (nm: number, width: number) => (at: number) => 1 / (1 + Math.exp((at - nm) / width))
const hump = (nm: number, width: number) => (at: number) => Math.exp(-(((at - nm) / width) ** 2))

const COLOURANTS = {
  ochre: (nm: number) => 1.1 * edge(505, 22)(nm) + 0.12 * edge(600, 40)(nm) + 0.03,
  sienna: (nm: number) => 1.2 * edge(565, 18)(nm) + 0.1 * edge(640, 30)(nm) + 0.03,
  umber: (nm: number) => 0.9 * edge(540, 70)(nm) + 0.22,
  lamp: () => 1,
  lemon: (nm: number) => 1.3 * edge(488, 14)(nm) + 0.012,
  scarlet: (nm: number) => 1.3 * hump(535, 55)(nm) + 0.75 * edge(470, 40)(nm) + 0.012,
  rose: (nm: number) => 1.35 * hump(530, 48)(nm) + 0.25 * edge(430, 25)(nm) + 0.015,
  violet: (nm: number) => 1.2 * hump(575, 55)(nm) + 0.16 * hump(510, 60)(nm) + 0.02,
  marine: (nm: number) => 1.4 * hump(625, 65)(nm) + 0.22 * hump(720, 60)(nm) + 0.02,
  viridian: (nm: number) => 1.3 * hump(650, 60)(nm) + 0.55 * hump(420, 45)(nm) + 0.02,
} as const
type Colourant = keyof typeof COLOURANTS
type Formula = Partial<Record<Colourant, number>>

const curve = (name: Colourant): number[] =>
  Array.from({ length: BANDS }, (_, band) => COLOURANTS[name](380 + 10 * band))
const CURVES = Object.fromEntries(
  (Object.keys(COLOURANTS) as Colourant[]).map((name) => [name, curve(name)]),
) as Record<Colourant, number[]>

// Lightness L* of the eight places on a strip, and the base each is mixed in.
const STRIP_LIGHTNESS = [93.2, 89.5, 84.5, 77.5, 68.5, 57, 44, 31]
const STRIP_BASES: Base[] = ['white', 'white', 'white', 'white', 'white', 'mid', 'deep', 'clear']

/** The invented deck: 150 strips of eight, about 1,200 colours, the same for every run. */
export function generateDeck(): WrittenColour[] {
  const random = seededRandom(SEED)
  const strips = [...neutralTones(random), ...clearTones(random)]
  const names = inventedNames(random, strips.length * STRIP_LIGHTNESS.length)
  return strips.flatMap(({ family, formula }, s) =>
    STRIP_LIGHTNESS.flatMap((lightness, step) => {
      const lab = tinted(formula, lightness)
      if (!lab) return []
      const strip = `${family}${String(s + 1).padStart(3, '0')}`
      return {
        code: `${strip}-${step + 1}`,
        name: names[s * STRIP_LIGHTNESS.length + step]!,
        strip,
        base: STRIP_BASES[step]!,
        reading: {
          kind: 'lab' as const,
          lab: lab.map((v) => Number(v.toFixed(2))) as unknown as Lab,
        },
      }
    }),
  )
}

interface Tone {
  readonly family: string
  readonly formula: Formula
}

/** Black with a share of a clear tint: the greys, greiges, taupes, beiges and off-whites. */
function neutralTones(random: () => number): Tone[] {
  const leans: readonly (readonly [string, Formula])[] = [
    ['G', { lamp: 1, ochre: 0.35 }],
    ['E', { lamp: 0.75, ochre: 0.5, sienna: 0.12 }],
    ['E', { umber: 0.9, lamp: 0.3 }],
    ['E', { umber: 0.8, ochre: 0.55, lamp: 0.15 }],
    ['B', { sienna: 0.5, umber: 0.5, lamp: 0.12 }],
    ['B', { ochre: 0.7, sienna: 0.4, lamp: 0.12 }],
    ['B', { sienna: 0.55, scarlet: 0.1, lamp: 0.3 }],
    ['C', { ochre: 1, lamp: 0.06 }],
    ['C', { ochre: 0.7, lemon: 0.35, lamp: 0.08 }],
    ['T', { ochre: 0.8, viridian: 0.14, lamp: 0.3 }],
    ['T', { lamp: 0.7, rose: 0.16, ochre: 0.2 }],
    ['T', { lamp: 0.7, violet: 0.2, umber: 0.25 }],
    ['G', { lamp: 0.8, marine: 0.16 }],
    ['G', { lamp: 0.8, viridian: 0.16, ochre: 0.1 }],
  ]
  const plainGreys: Formula[] = [
    { lamp: 1 },
    { lamp: 1, ochre: 0.12 },
    { lamp: 1, marine: 0.05 },
    { lamp: 1, violet: 0.05 },
    { lamp: 1, viridian: 0.05 },
  ]
  const greys = plainGreys.map((formula) => ({ family: 'G', formula }))
  const leaning = leans.flatMap(([family, formula]) =>
    Array.from({ length: 5 }, (_, i) => ({
      family,
      formula: varied(formula, random, { lamp: 0.08 * i }),
    })),
  )
  return [...greys, ...leaning]
}

/** Round the colour circle in pairs of neighbours, each clear, softened and greyed. */
function clearTones(random: () => number): Tone[] {
  const circle: Colourant[] = [
    'rose',
    'scarlet',
    'sienna',
    'ochre',
    'lemon',
    'viridian',
    'marine',
    'violet',
  ]
  const greyed = [0.06, 0.3, 0.7]
  return circle
    .flatMap((first, i) => {
      const second = circle[(i + 1) % circle.length]!
      return [0.85, 0.6, 0.35].flatMap((share) =>
        greyed.map((lamp) => ({
          family: 'H',
          formula: varied({ [first]: share, [second]: 1 - share } as Formula, random, { lamp }),
        })),
      )
    })
    .concat([
      { family: 'H', formula: { marine: 0.7, lamp: 0.8 } },
      { family: 'H', formula: { viridian: 0.6, umber: 0.7, lamp: 0.3 } },
      { family: 'H', formula: { sienna: 1, umber: 0.4 } },
    ])
}

function varied(formula: Formula, random: () => number, added: Formula): Formula {
  const result: Formula = {}
  for (const name of Object.keys(COLOURANTS) as Colourant[]) {
    const amount = (formula[name] ?? 0) * (0.92 + 0.16 * random()) + (added[name] ?? 0)
    if (amount > 0) result[name] = amount
  }
  return result
}

/** L*a*b* of a formula thinned or thickened to a lightness; null when it never gets that dark. */
function tinted(formula: Formula, lightness: number): Lab | null {
  const mix = (amount: number): Lab => {
    const bands = whiteBase.map((base, band) => {
      let ratio = kOverS(insideReflectance(base))
      for (const [name, part] of Object.entries(formula) as [Colourant, number][])
        ratio += amount * part * CURVES[name][band]!
      return outsideReflectance(opaqueReflectance(ratio))
    })
    return labD65(Float64Array.from(bands))
  }
  let [low, high] = [0, 400]
  if (mix(high)[0] > lightness) return null
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (mix(middle)[0] > lightness) low = middle
    else high = middle
  }
  return mix(high)
}
