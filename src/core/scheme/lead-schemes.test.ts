import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { isBad } from '../pairing/chance'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import type { KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import { judgedWall, type Paint } from './beside-piece'
import { leadSchemes, nearestPaint, surfacesOf } from './lead-schemes'
import { hueApartDeg, undertoneOf } from '../undertone/undertone'

const noon = prepareLight(daylightSpectrum(5500), 500)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })

/** A deck of every tenth lightness, twelve hues and up to four strengths of colour. */
const PAINTS = [20, 30, 40, 50, 60, 70, 80, 90]
  .flatMap((l) =>
    (l > 20 && l < 90 ? [2, 6, 11, 16] : [2, 6]).flatMap((c) =>
      Array.from({ length: 12 }, (_, k): Lab => {
        const angle = (k * Math.PI) / 6
        return [l, c * Math.cos(angle), c * Math.sin(angle)]
      }),
    ),
  )
  .map((lab, place): Paint => {
    const reflectance = surface(lab)
    const undertone = undertoneOf(noon, reflectance)
    return { place, strengthPercent: 100, reflectance, undertone, source: 'spectral' }
  })

const pieceOf = (
  kind: KeeperKind,
  name: string,
  ...colours: (readonly [string, number, Lab])[]
): JudgedKeeper => ({
  name,
  role: roleOf(kind, DEFAULT_HOUSE_RULES),
  varies: false,
  colours: colours.map(([part, sharePercent, lab]) => ({
    part,
    sharePercent,
    reflectance: surface(lab),
    source: 'spectral',
  })),
})
const piece = (name: string, ...colours: (readonly [string, number, Lab])[]) =>
  pieceOf('rug', name, ...colours)
const RUG = piece(
  'Rug',
  ['field', 60, [50, 20, 13]],
  ['border', 25, [80, 2, 9]],
  ['line', 15, [33, -2, -16]],
)
const undertoneOfPart = (part: string) =>
  undertoneOf(noon, RUG.colours.find((colour) => colour.part === part)!.reflectance)

test('from the dominant colour: same family, softer and lighter, so that the piece recedes', () => {
  // Common practice.
  const [calm] = leadSchemes(noon, RUG, PAINTS, [])
  const field = undertoneOfPart('field')
  expect(calm!.source.part).toBe('field')
  expect(calm!.walls.length).toBeGreaterThan(0)
  for (const { paint, beside } of calm!.walls) {
    expect(hueApartDeg(paint.undertone.hueDeg, field.hueDeg)).toBeLessThanOrEqual(40)
    expect(paint.undertone.c).toBeLessThan(0.7 * field.c)
    expect(paint.undertone.j).toBeGreaterThan(field.j + 10)
    expect(isBad(beside.chance)).toBe(false)
  }
})

test('from a lesser colour: its hue, clear, and well away from what the piece has most of', () => {
  // Common practice.
  const [, contrast] = leadSchemes(noon, RUG, PAINTS, [])
  const [field, line] = [undertoneOfPart('field'), undertoneOfPart('line')]
  expect(contrast!.source.part).toBe('line')
  const [first] = contrast!.walls
  expect(hueApartDeg(first!.paint.undertone.hueDeg, line.hueDeg)).toBeLessThanOrEqual(30)
  expect(hueApartDeg(first!.paint.undertone.hueDeg, field.hueDeg)).toBeGreaterThan(90)
  expect(Math.abs(first!.paint.undertone.j - field.j)).toBeGreaterThan(10)
})

test('parts that no wall takes are free to return, the clearest first, each near a paint of its own', () => {
  const [calm, contrast] = leadSchemes(noon, RUG, PAINTS, [])
  expect(calm!.free.map(({ part }) => part)).toEqual(['line', 'border'])
  expect(contrast!.free.map(({ part }) => part)).toEqual(['field', 'border'])
  const nearest = nearestPaint(noon, calm!.free[0]!, PAINTS)!
  const line = undertoneOfPart('line')
  expect(Math.abs(nearest.undertone.j - line.j)).toBeLessThan(8)
  expect(hueApartDeg(nearest.undertone.hueDeg, line.hueDeg)).toBeLessThan(25)
})

test('nothing that clashes with what else stays is proposed, and what is weakest is named', () => {
  // Common practice: a pink stone rejects green.
  const stone = pieceOf('stone', 'Stone', ['ground', 100, [76, 10, 3]])
  const cushion = piece('Cushion', ['cloth', 100, [52, -16, 12]])
  const [alone] = leadSchemes(noon, cushion, PAINTS, [])
  expect(alone!.walls.length).toBeGreaterThan(0)
  expect(
    judgedWall(noon, alone!.walls[0]!.paint, { piece: cushion, source: cushion.colours[0]! }, [
      stone,
    ]).weakest,
  ).toMatchObject({ name: 'Stone', judgement: 'likely-not' })
  const [beside] = leadSchemes(noon, cushion, PAINTS, [stone])
  for (const { weakest } of beside!.walls) expect(isBad(weakest!.chance)).toBe(false)
})

test('a piece of one colour gives one scheme, a piece of none is refused', () => {
  expect(leadSchemes(noon, piece('Chair', ['cloth', 100, [46, -8, 5]]), PAINTS, [])).toHaveLength(1)
  expect(() => leadSchemes(noon, piece('Nothing'), PAINTS, [])).toThrow(/at least one colour/)
})

test('the deeper of two goes on the focal wall and below the rail, whichever was picked', () => {
  const [light, deep] = [PAINTS.at(-1)!, PAINTS[0]!]
  for (const [wall, relative] of [
    [light, deep],
    [deep, light],
  ] as const) {
    expect(surfacesOf('a focal wall', wall, relative)).toEqual([
      { surface: 'focal wall', paint: deep },
      { surface: 'other walls', paint: light },
    ])
    expect(surfacesOf('two halves', wall, relative).at(-1)).toEqual({
      surface: 'lower half',
      paint: deep,
    })
  }
  expect(surfacesOf('two halves', light, null)).toEqual([])
  expect(surfacesOf('all walls', light, null)).toHaveLength(1)
})
