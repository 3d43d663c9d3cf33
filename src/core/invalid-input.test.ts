import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { prepareLight } from './colour/appearance'
import { cam16Viewing } from './colour/cam16'
import { daylightSpectrum } from './colour/daylight'
import { bandWeights } from './colour/observer'
import { flatReflectance } from './colour/spectrum'
import { PLAIN_LAMP, PLAIN_WINDOW, type LitRoom } from './light/room'
import { outdoors } from './light/window-light'
import { utcDay } from './light/utc-day.fixture'
import { photoLight } from './photo/photo-light'
import { readablePhoto } from './photo/read-photo'

/*
 * Every exported function of colour, light, paint and photo, with arguments that are right. Each number in them is spoilt in
 * turn: the answer is a RangeError, or holds no NaN.
 */

const NOON = daylightSpectrum(6504)
const LIGHT = prepareLight(NOON, 400)
const GREY = flatReflectance(0.4)
const WEIGHTS = bandWeights(NOON)
const XYZ = [30, 32, 28]
const RGB = [0.3, 0.4, 0.2]
const MATRIX = [1, 0.1, 0, 0.1, 1, 0, 0, 0.1, 1]
const VIEWING = cam16Viewing([95.05, 100, 108.9], 20, 1)
const WINDOW = {
  ...PLAIN_WINDOW,
  bearingDeg: 170,
  opposite: 'brick' as const,
  oppositeDeg: 15,
  overhangMm: 300,
}
const ROOM: LitRoom = {
  northSouthMm: 4500,
  eastWestMm: 4000,
  heightMm: 2600,
  northDeg: 10,
  windows: [WINDOW],
  lamps: [PLAIN_LAMP],
}
const PLACE = { latitudeDeg: 52, longitudeDeg: 1 }
const DAY = utcDay('2026-06-21')
const SUN = { altitudeDeg: 35, azimuthDeg: 160 }
const OUT = outdoors('clear', SUN)
const MOMENT = { utcMs: Date.UTC(2026, 5, 21, 11), sky: 'clear', lampsOn: true }
const ROOM_DAY = { room: ROOM, place: PLACE, day: DAY, readings: [] }
const CHOICE = { source: 'room', minute: 700, sky: 'clear', lampsOn: false, spot: 'walls' }
const VECTOR = [100, 200, 300]
const PHOTO = { bytes: new Uint8ClampedArray(40 * 40 * 4).fill(120), width: 40, height: 40 }
const SQUARE = { x: 20, y: 20, halfPx: 5 }
const SHOWN = [
  [0.87, 0.87, 0.87],
  [0.42, 0.42, 0.42],
  [0.2, 0.2, 0.2],
]
const PHOTO_LIGHT = photoLight([0.7, 0.7, 0.7], NOON)
const READABLE = readablePhoto(PHOTO_LIGHT, 'steps', SHOWN as never, 0.01)
const PATCHES = SHOWN.map((encoded, i) => ({
  encoded,
  reflectance: [0.9, 0.18, 0.04][i],
  tolerance: 0.02,
}))
const LAB = [60, 8, 14]
const READING = { kind: 'lab', lab: LAB }
const TYPED = {
  by: 'lab',
  l: '60',
  a: '8',
  b: '14',
  hex: '',
  spectrum: '',
  measuredFor: 'D65 2deg',
  scale: '',
}
const ZONE = { offsets: [[0, 60]], firstDate: '2026-01-01', lastDate: '2026-12-31' }

type Args = readonly unknown[]
const CASES: Readonly<Record<string, Readonly<Record<string, Args>>>> = {
  'colour/appearance': {
    eyeAdaptedTo: [[95, 100, 108], 400],
    prepareLight: [NOON, 400],
    adaptationRange: [LIGHT],
    withDegree: [LIGHT, 0.8],
    inViewOf: [LIGHT, NOON],
    appearanceOf: [LIGHT, GREY],
    appearanceOfXyz: [LIGHT, XYZ],
    viewingAt: [300],
    correlatesOfXyz: [LIGHT, XYZ, VIEWING],
    correlatesInRoom: [LIGHT, GREY],
    screenColour: [LIGHT, GREY],
    screenColoursTogether: [[{ light: LIGHT, xyz: XYZ }]],
    p3Bytes: [{ hex: '#808080', inGamut: true, p3: null }],
    ucsOnScreen: [{ hex: '#808080', inGamut: true, p3: null }],
  },
  'colour/cam16': {
    cam16Viewing: [[95, 100, 108], 20, 1, 20],
    cam16: [XYZ, VIEWING],
    ucsOf: [{ J: 50, Q: 80, C: 10, M: 12, s: 20, h: 60 }],
    ucsDifference: [
      [50, 1, 2],
      [55, 2, 3],
    ],
    compress: [30, 0.4],
  },
  'colour/cat16': {
    multiply: [MATRIX, XYZ],
    multiplied: [MATRIX, MATRIX],
    invert: [MATRIX],
    cat16Matrix: [[95, 100, 108], [96, 100, 82], 0.9],
    degreeOfAdaptation: [20],
  },
  'colour/cct': { colourTemperature: [[95, 100, 108]] },
  'colour/ciede2000': { ciede2000: [LAB, [61, 9, 15]] },
  'colour/colour-rendering': { colourRenderingIndex: [NOON] },
  'colour/daylight': {
    daylightXy: [6500],
    daylightWeights: [6500],
    daylightFromComponents: [1, 0.1, 0.1],
    daylightSpectrum: [6500],
  },
  'colour/four-walls': {
    fourWalls: [NOON, 300, GREY, 0.5, { mean: NOON.map(() => 0.5), wall: NOON.map(() => 0.5) }],
  },
  'colour/lab': { labFromXyz: [XYZ, [95, 100, 108]], xyzFromLab: [LAB, [95, 100, 108]] },
  'colour/led': { ledSpectrum: [3000, 85] },
  'colour/mix-lights': {
    addPerLux: [new Float64Array(81), NOON, 100],
    mixLights: [[{ spectrum: NOON, illuminanceLux: 100 }]],
  },
  'colour/observer': {
    xyzOfSpectrum: [NOON],
    whitePoint: [NOON],
    xyOf: [XYZ],
    bandWeights: [NOON],
    xyzUnder: [WEIGHTS, GREY],
  },
  'colour/oklab': { oklab: [RGB], linearRgbFromOklab: [[0.6, 0.02, 0.05]] },
  'colour/planckian': { planckianSpectrum: [2700] },
  'colour/spectrum': {
    wavelengthNm: [3],
    flatReflectance: [0.4],
    addScaled: [new Float64Array(81), NOON, 2],
  },
  'colour/srgb': {
    linearRgbFromHex: ['#808080'],
    bytesOfHex: ['#808080'],
    hexFromLinearRgb: [RGB],
    xyzFromLinearRgb: [RGB],
    linearRgbFromXyz: [XYZ],
    linearP3FromLinearRgb: [RGB],
    p3BytesOf: [RGB],
    p3Css: [RGB],
    linearRgbFromXyzMatrix: [],
    encodedByte: [0.4],
    decode: [0.4],
    encode: [0.4],
  },
  'light/aspect': {
    compassPoint: [170],
    compassWord: [170],
    aspectOf: [ROOM],
    isCoolAndEven: [ROOM, PLACE],
  },
  'light/balance': {
    balanceOf: [
      { ...ROOM_DAY, room: { ...ROOM, windows: [WINDOW, { ...WINDOW, bearingDeg: 80 }] } },
      'overcast',
    ],
  },
  'light/calendar-date': {
    dayNumber: ['2026-06-21'],
    dateOfDayNumber: [20_000],
    longDate: ['2026-06-21'],
  },
  'light/checked': {
    checkedLamp: [PLAIN_LAMP],
    checkedRoom: [ROOM],
    checkedSun: [SUN],
    checkedWindow: [WINDOW],
  },
  'light/day-parts': { dayParts: [ROOM_DAY] },
  'light/day-clock': {
    checkedDay: [DAY],
    utcMsAt: [DAY, 700],
    clockTime: [DAY, 700],
    clockOfMinutes: [700],
    minuteAtClockTime: [DAY, '12:00'],
  },
  'light/daylight-factor': {
    averageDaylightFactorPercent: [0.7, 2, 80, 80, 0.5],
    skyAngleDeg: [WINDOW],
    daylightFactorPercent: [ROOM],
    dimness: [3],
  },
  'light/fittings': { kindsOf: [{ a: 1 }] },
  'light/key-lights': { keyLights: [ROOM_DAY] },
  'light/lamp-light': {
    luxFromLamp: [PLAIN_LAMP, [0, 0, 2000], { at: [300, 200, 700], normal: [0, 0, 1] }],
    bulbSpectrum: [{ bulb: 'led-80', cctK: 2700 }],
    lampLight: [ROOM, null, 60, NOON.map(() => 0.5)],
  },
  'light/lamps-alone': { isLampsAlone: [ROOM_DAY, { ...CHOICE, source: 'lamps' }] },
  'light/light-address': {
    openingChoice: [DAY, true],
    lightFromAddress: [{ at: '12:00' }, DAY],
    lightToAddress: [CHOICE, DAY],
  },
  'light/light-choice': {
    shadedBearingDeg: [PLACE],
    lightOf: [ROOM_DAY, CHOICE],
    pinsOf: [ROOM_DAY],
    modelledLight: [ROOM_DAY, CHOICE],
    lateSunMinute: [PLACE, DAY],
    solarNoonMinute: [PLACE, DAY],
  },
  'light/light-words': { lightColourWord: [4000], daySentences: [ROOM_DAY, 'overcast'] },
  'light/ribbon': { dayRibbon: [ROOM_DAY, 'overcast'] },
  'light/room-light': {
    roomLight: [ROOM, PLACE, MOMENT, 'walls'],
    roomLights: [ROOM, PLACE, MOMENT, [{ plane: 'north', depth: 'back' }]],
  },
  'light/room-reflectance': { reflectancesOf: [ROOM], meanReflectance: [ROOM] },
  'light/room': {
    surfaceAreaM2: [ROOM],
    wallShare: [ROOM],
    windowAreaM2: [WINDOW],
    windowTransmittance: [WINDOW],
  },
  'light/sky': { skyIlluminance: ['clear', 30] },
  'light/sky-vault': {
    skyPatchCctK: ['clear', 30, 40, 50],
    luxOf: [[1, 0.1, 0.1]],
    openWall: [90],
    profileDeg: [30, 160, 180],
    skyVault: ['clear', SUN],
  },
  'light/source-words': { sourceWords: ['north', PLACE] },
  'light/spot': {
    spotOf: ['north-back'],
    spotWords: ['north-back'],
    scaled: [VECTOR, 2],
    plus: [VECTOR, VECTOR],
    minus: [VECTOR, [1, 2, 3]],
    dot: [VECTOR, VECTOR],
    mainWindow: [ROOM],
    placeSpot: [ROOM, { plane: 'tilted', depth: 'back' }],
    lampAt: [ROOM, PLAIN_LAMP],
    panesOf: [ROOM, WINDOW],
    windowFrame: [ROOM, WINDOW],
  },
  'light/sun-patch': { sunPatch: [ROOM, WINDOW, SUN] },
  'light/sun-position': { sunPosition: [PLACE, MOMENT.utcMs] },
  'light/sunlight': { sunCctK: [20], sunlightSpectrum: [4300] },
  'light/surface-colours': { alongSpectrum: [GREY], outsideReflectances: [] },
  'light/tilt-and-slide': { slideLights: [ROOM, PLACE, MOMENT, 3] },
  'light/walls': {
    isWallName: ['north'],
    oppositeWall: ['north'],
    asideWall: ['north'],
    wallFacing: [ROOM, 170],
    turnOf: ['north'],
    bearingOf: [ROOM, 'east'],
    wallWidthMm: [ROOM, 'east'],
    toWallMm: [ROOM, 'east'],
    alongWallMm: [ROOM, WINDOW],
  },
  'light/window-light': {
    outdoors: ['clear', SUN],
    emptyLightSum: [],
    addReflected: [
      { sky: [[0, 0, 0]], sun: new Float64Array(1) },
      'sky',
      { sky: [1, 0, 0], sunLux: 5 },
      0.5,
    ],
    viewOf: [WINDOW],
    groundReceives: [OUT, 170],
    oppositeReceives: [OUT, 170],
    windowLight: [OUT, WINDOW],
    cosineOn: [SUN, 170, 90],
    entersRoom: [OUT, WINDOW, 10],
  },
  'light/zone-clock': { dayByClock: [ZONE, '2026-06-21'], dateByClock: [ZONE, MOMENT.utcMs] },
  'paint/by-eye': {
    shiftedByEye: [GREY, [{ towards: 'lighter', size: 'a little' }]],
    shiftWords: [[{ towards: 'lighter', size: 'a little' }]],
    shiftedLab: [[60, 2, 9], { towards: 'lighter', size: 'a little' }],
  },
  'paint/eye-field': {
    firstField: ['wood'],
    secondField: ['wood', [60, 2, 9]],
    nudged: [[60, 2, 9], 'lighter'],
  },
  'paint/dry-film': {
    dryFilm: [GREY, flatReflectance(0.92), 'deep', 50, 2],
    hidingOver: [GREY, flatReflectance(0.92), 'deep', 50, flatReflectance(0.2)],
  },
  'paint/kubelka-munk': {
    insideReflectance: [0.4],
    outsideReflectance: [0.4],
    kOverS: [0.4],
    opaqueReflectance: [0.3],
    filmReflectance: [0.3, 5, 0.2],
  },
  'paint/lrv': { lrvPercent: [GREY], lrvsPercent: [GREY], isPrintedOff: [60, 50] },
  'paint/measured-for': {
    isMeasuredFor: ['D65 2deg'],
    partsOfName: ['D65 2deg'],
    measuredForWords: ['D65 2deg'],
    forDaylight: [READING, 'D50 2deg'],
  },
  'paint/reading-evidence': {
    evidenceWords: [{ uncertainty: { lean: 1, lightness: 1 } }],
    uncertaintyWords: [{ lean: 1, lightness: 2 }],
  },
  'paint/reading': {
    isOfASurface: [[60, 2, 9]],
    uncertaintyOf: [{ lean: 1, lightness: 2 }, true],
    sourceOf: [READING],
    deckSource: [READING],
    reflectanceOfReading: [READING],
    extrapolatedBandsNm: [[400, 500, 600]],
    labD65: [GREY],
  },
  'paint/ground': {
    groundFor: [flatReflectance(0.1), flatReflectance(0.92), 'deep', 100],
    groundSaid: [{ is: 'grey', greyLrvPercent: 18, coatsOverWhite: 4, coats: 2 }],
  },
  'paint/sheen': { inSheen: [GREY, 'satin', 'towards the window'] },
  'paint/surface-sheen': {
    sheenForSurface: ['walls', 'plain', { washed: true }],
    sheenSays: ['walls', 'matt', { washed: true }],
  },
  'paint/white-base': { labWhiteBase: [[96, 0, 1]] },
  'paint/smoothest-reflectance': { smoothestReflectance: [XYZ, WEIGHTS] },
  'paint/strength': {
    mostStrengthPercent: ['white'],
    whyNoLadder: ['deep'],
    ladderOf: ['white'],
    strengthWords: [75],
    atStrength: [GREY, flatReflectance(0.92), 50],
    nearestStrength: [GREY, flatReflectance(0.92), 'white', (mixed: Float64Array) => mixed[3]],
    strengthForLrv: [GREY, flatReflectance(0.92), 'white', 50],
    checkedShare: [50],
  },
  'paint/typed-reading': {
    readTyped: [TYPED],
    wholeColour: ['62, 3, 11'],
    spectrumText: [{ wavelengthsNm: [400, 500], reflectance: [0.1, 0.2] }],
    labWords: [[62, 20, 31.5]],
  },
  'photo/believable-surface': {
    blotsOf: [[70, 30], 3],
    believableSurface: [[{ sharePercent: 100, reflectance: GREY }], 3],
  },
  'photo/blocks': { usableBlocks: [PHOTO, { squares: [SQUARE], mean: RGB }] },
  'photo/corrected-picture': {
    correctedPicture: [
      { ...PHOTO, bytes: PHOTO.bytes.slice(0, 16), width: 2, height: 2 },
      { ways: READABLE.ways.slice(0, 2), tone: READABLE.tone },
    ],
  },
  'photo/exposure-lock': {
    exposureMoved: [{ white: 0.5, illuminanceLux: 100 }, [{ white: 0.4, illuminanceLux: 300 }]],
  },
  'photo/finish-patch': {
    finishPatch: [PHOTO, [[60, 5, 5]], [SQUARE], { x: 1, y: 1 }],
    cutPatch: [PHOTO, { x: 0, y: 0, width: 2, height: 2 }, 2],
  },
  'photo/finish-prior': { likelyFinishes: [], finishPrior: [], chartPrior: [] },
  'photo/lattice': { latticeOf: [PHOTO] },
  'photo/palette': { paletteOf: [new Float32Array([0.1, 0.2, 0.3, 0.1, 0.2, 0.3]), 0.01] },
  'photo/photo-light': { photoLight: [RGB.map(() => 0.6), NOON] },
  'photo/pixels': {
    checkedPhoto: [PHOTO],
    isWithin: [SQUARE, 20, 20],
    luminance: [0.1, 0.2, 0.3],
    tappedSpot: [PHOTO, SQUARE],
    squareAt: [PHOTO, 20, 20, 5],
  },
  'photo/plausible-cameras': { plausibleCameras: [] },
  'photo/read-photo': {
    shownOf: [RGB],
    readablePhoto: [{ lights: [NOON], balance: 'balanced' }, 'steps', SHOWN, 0.01],
    colourOfShown: [{ ...READABLE, ways: READABLE.ways.slice(0, 3) }, [0.5, 0.4, 0.3]],
  },
  'photo/tone-curve': {
    linearBehind: [{ lift: 0, s: 0.1 }, 0.5],
    toneFromPatches: [PATCHES],
    curveAt: [{ likeliest: { lift: 0, s: 0.1 }, root: [0.1, 0, 0.1], byPatches: true }, 0.5, -0.5],
  },
  'photo/unevenness': {
    unevennessByRepeats: [PHOTO, [SQUARE, { ...SQUARE, x: 30 }]],
    unevennessByCard: [PHOTO, SQUARE],
    evened: [
      { ...PHOTO, bytes: PHOTO.bytes.slice(0, 16), width: 2, height: 2 },
      { across: 0.1, down: 0.1 },
    ],
  },
}

// Steps within a computation, whose arguments are made by the functions above and never by a caller.
const WITHIN: readonly string[] = [
  'colour/flat-appearance coneResponses',
  'colour/flat-appearance conesOf',
  'colour/flat-appearance correlate',
  'colour/flat-appearance flatViewing',
  'colour/flat-appearance foldedWeights',
  'colour/octave-table octaveNodes',
  'colour/octave-table tableThrough',
  'colour/octave-table octaveTable',
  'colour/octave-table lookUp',
  'light/meter pinsFrom',
  'light/meter pinned',
  'light/meter questionOf',
  'light/window-light spectrumOf',
  'light/spot-steps nextAlong',
  'light/spot-steps nextTilt',
  'photo/relit-patch relitPatch',
  'photo/three-numbers channelsIn',
  'photo/three-numbers seenBy',
  'photo/three-numbers leastErring',
  'photo/untold ucsByDaylight',
  'photo/untold labByDaylight',
  'photo/untold untoldBy',
  'photo/untold missingAt',
]

const AREAS = ['colour', 'light', 'paint', 'photo'] as const
const MODULES = AREAS.flatMap((area) =>
  readdirSync(join(__dirname, area))
    .filter((name) => /^[a-z0-9-]+\.ts$/.test(name))
    .map((name) => `${area}/${name.replace(/\.ts$/, '')}`),
)
type Module = Readonly<Record<string, unknown>>
const load = (name: string): Module => jest.requireActual<Module>(`./${name}`)
const isClass = (value: unknown): boolean => /^class /.test(String(value))

test('every exported function is here, or is said to be a step within one', () => {
  const missing = MODULES.flatMap((name) =>
    Object.entries(load(name))
      .filter(([, value]) => typeof value === 'function' && !isClass(value))
      .map(([fn]) => `${name} ${fn}`)
      .filter((each) => {
        const [module, fn] = each.split(' ') as [string, string]
        return !CASES[module]?.[fn] && !WITHIN.includes(each)
      }),
  )
  expect(missing).toEqual([])
})

/** Places of numbers in a value: up to two of every list, every field. */
function numbersIn(
  value: unknown,
  path: readonly (string | number)[] = [],
): (readonly (string | number)[])[] {
  if (typeof value === 'number') return [path]
  if (ArrayBuffer.isView(value)) {
    // Bytes cannot hold what is no number.
    return value instanceof Float64Array || value instanceof Float32Array
      ? [[...path, Math.min(3, value.length - 1)]]
      : []
  }
  if (Array.isArray(value))
    return value.slice(0, 3).flatMap((each, i) => numbersIn(each, [...path, i]))
  if (value && typeof value === 'object')
    return Object.entries(value).flatMap(([key, each]) => numbersIn(each, [...path, key]))
  return []
}

function spoilt(
  value: unknown,
  [step, ...rest]: readonly (string | number)[],
  by: number,
): unknown {
  if (step === undefined) return by
  if (ArrayBuffer.isView(value)) {
    const copy = (value as Float64Array).slice()
    copy[step as number] = by
    return copy
  }
  if (Array.isArray(value))
    return value.map((each, i) => (i === step ? spoilt(each, rest, by) : each))
  const record = value as Record<string, unknown>
  return { ...record, [step]: spoilt(record[step], rest, by) }
}

function holdsNaN(value: unknown, depth = 0): boolean {
  if (typeof value === 'number') return Number.isNaN(value)
  if (typeof value === 'string') return /NaN/.test(value)
  if (depth > 6 || !value || typeof value !== 'object') return false
  if (ArrayBuffer.isView(value)) return Array.from(value as Float64Array).some(Number.isNaN)
  return Object.values(value).some((each) => holdsNaN(each, depth + 1))
}

describe.each(Object.entries(CASES))('%s', (name, functions) => {
  test.each(Object.entries(functions))('%s', (fn, args) => {
    const call = load(name)[fn] as (...args: Args) => unknown
    expect(holdsNaN(call(...args.map((arg) => structuredCloneable(arg))))).toBe(false)
    const wrong = numbersIn(args).flatMap((path) =>
      [NaN, Infinity, -Infinity].flatMap((by) => {
        const spoiltArgs = spoilt(args, path, by) as Args
        try {
          return holdsNaN(call(...spoiltArgs)) ? [`${path.join('.')} ${by}: NaN`] : []
        } catch (error) {
          return error instanceof RangeError ? [] : [`${path.join('.')} ${by}: ${String(error)}`]
        }
      }),
    )
    expect(wrong).toEqual([])
  })
})

/** Typed arrays are written into by some; each call has its own. */
const structuredCloneable = (arg: unknown): unknown =>
  ArrayBuffer.isView(arg) ? (arg as Float64Array).slice() : arg
