import { BANDS, SPECTRUM_FIRST_NM, type Reflectance } from '../colour/spectrum'

/** A finish by wavelength, 380 to 780 nm: reflectance factor, 0 to 1. */
export type Finish = (nm: number) => number

const falls = (atNm: number, overNm: number) => (nm: number) =>
  1 / (1 + Math.exp((nm - atNm) / overNm))
const dip = (atNm: number, widthNm: number) => (nm: number) =>
  Math.exp(-(((nm - atNm) / widthNm) ** 2))

// Absorption by wavelength of what colours house finishes, shaped after the usual earths, oxides and organics (common
// practice, no measured table). Their scattering beside that of the white.
const white = falls(404, 5)
const ochre = [falls(512, 17), falls(595, 26)] as const
const redOxide = falls(574, 11)
const hansa = falls(492, 8)
const ultramarine = [dip(588, 58), dip(640, 30)] as const
const phthaloBlue = [dip(618, 42), dip(680, 40)] as const
const phthaloGreen = [dip(640, 55), falls(446, 14)] as const
const violet = [dip(538, 30), dip(572, 18)] as const

interface Colourant {
  readonly absorbs: (nm: number) => number
  readonly scatters: number
}
const COLOURANTS = {
  white: { absorbs: (nm) => 0.0015 + 0.9 * white(nm), scatters: 1 },
  black: { absorbs: () => 1.6, scatters: 0.05 },
  ochre: { absorbs: (nm) => 1.1 * ochre[0](nm) + 0.22 * ochre[1](nm) + 0.02, scatters: 0.35 },
  umber: { absorbs: (nm) => 1.5 * Math.exp(-(nm - 380) / 190) + 0.12, scatters: 0.3 },
  redOxide: { absorbs: (nm) => 1.7 * redOxide(nm) + 0.12 * dip(660, 40)(nm) + 0.05, scatters: 0.4 },
  hansa: { absorbs: (nm) => 1.6 * hansa(nm) + 0.003, scatters: 0.2 },
  ultramarine: {
    absorbs: (nm) => 1.2 * ultramarine[0](nm) + 0.4 * ultramarine[1](nm) + 0.03,
    scatters: 0.15,
  },
  phthaloBlue: {
    absorbs: (nm) => 1.6 * phthaloBlue[0](nm) + 1.1 * phthaloBlue[1](nm) + 0.02,
    scatters: 0.1,
  },
  phthaloGreen: {
    absorbs: (nm) => 1.7 * phthaloGreen[0](nm) + 0.9 * phthaloGreen[1](nm) + 0.03,
    scatters: 0.1,
  },
  violet: { absorbs: (nm) => 1.4 * violet[0](nm) + 0.8 * violet[1](nm) + 0.02, scatters: 0.15 },
} as const satisfies Record<string, Colourant>
type Mix = Partial<Record<keyof typeof COLOURANTS, number>>

/** A mix as an opaque finish: Kubelka and Munk 1931, seen without its shine (Saunderson 1942). */
function finishOf(mix: Mix): Finish {
  const parts = (Object.entries(mix) as [keyof typeof COLOURANTS, number][]).map(
    ([name, amount]) => ({ ...(COLOURANTS[name] as Colourant), amount }),
  )
  return (nm) => {
    const k = parts.reduce((sum, { absorbs, amount }) => sum + amount * absorbs(nm), 0)
    const s = parts.reduce((sum, { scatters, amount }) => sum + amount * scatters, 0)
    const inside = 1 + k / s - Math.sqrt((k / s) ** 2 + (2 * k) / s)
    return (0.96 * 0.4 * inside) / (1 - 0.6 * inside)
  }
}

/** Twenty-four finishes of a house, invented, to be photographed in tests: what stays, mixed from what colours such things. */
export const PHOTOGRAPHED: readonly Finish[] = (
  [
    // Off-whites, creams and greys of trim, tile and plaster.
    { white: 1, ochre: 0.01 },
    { white: 1, ochre: 0.03, umber: 0.01 },
    { white: 1, black: 0.004, ultramarine: 0.006 },
    { white: 1, black: 0.03 },
    { white: 1, black: 0.05, umber: 0.06 },
    { white: 1, black: 0.2, ultramarine: 0.02 },
    // Stones: pink-beige, yellow-beige, violet-flecked, green slate, basalt.
    { white: 1, redOxide: 0.04, ochre: 0.05, umber: 0.04 },
    { white: 1, ochre: 0.16, umber: 0.06 },
    { white: 1, violet: 0.07, umber: 0.16 },
    { white: 1, phthaloGreen: 0.05, umber: 0.35, black: 0.05 },
    { white: 0.5, black: 0.6, umber: 0.2 },
    // Woods and leather: ash, oak, cherry, walnut, tan.
    { white: 1, ochre: 0.22, redOxide: 0.01, umber: 0.1 },
    { white: 0.7, ochre: 0.6, umber: 0.35, redOxide: 0.05 },
    { white: 0.5, redOxide: 0.5, ochre: 0.4, umber: 0.3 },
    { white: 0.25, umber: 1.1, redOxide: 0.12 },
    { white: 0.5, ochre: 0.8, redOxide: 0.22, umber: 0.25 },
    // Brick, terracotta, brass.
    { white: 0.4, redOxide: 0.7, umber: 0.15 },
    { white: 0.8, redOxide: 0.28, ochre: 0.3 },
    { white: 0.5, ochre: 1, hansa: 0.12, umber: 0.2 },
    // Textiles: sage, bottle green, dusty blue, navy, mauve.
    { white: 1, phthaloGreen: 0.04, ochre: 0.12, umber: 0.05 },
    { white: 0.3, phthaloGreen: 0.5, umber: 0.4, hansa: 0.1 },
    { white: 1, phthaloBlue: 0.05, black: 0.08, ultramarine: 0.1 },
    { white: 0.2, ultramarine: 0.8, phthaloBlue: 0.12, black: 0.15 },
    { white: 1, violet: 0.16, ultramarine: 0.08, umber: 0.05 },
  ] satisfies readonly Mix[]
).map(finishOf)

/** A finish as the core holds one. */
export const bandsOf = (finish: Finish): Reflectance =>
  Float64Array.from({ length: BANDS }, (_, band) => finish(SPECTRUM_FIRST_NM + 10 * band))
