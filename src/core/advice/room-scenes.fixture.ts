import { correlatesInRoom, prepareLight, type PreparedLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import type { Lab } from '../colour/lab'
import type { Reflectance } from '../colour/spectrum'
import { balanceOf } from '../light/balance'
import { lightOf, type LightChoice, type RoomDay } from '../light/light-choice'
import { daylightFactorPercent } from '../light/daylight-factor'
import { PLAIN_LAMP, PLAIN_WINDOW, type RoomWindow } from '../light/room'
import { reflectanceOfReading } from '../paint/reading'
import tradeScenes from '../pairing/trade-scenes.fixture.json'
import { drawnUndertone } from '../undertone/drawn'
import { hueName, NO_LEAN_BELOW } from '../undertone/hue-name'
import { undertoneOf } from '../undertone/undertone'
import { DEFAULT_HOUSE_RULES } from './house-rules'
import { roomAdvice, saidOf, type AdviceKind } from './room-advice'
import { ORDINARY_ROOM } from './ordinary-room.fixture'
import { dullLight, type RoomCharacter } from './room-character'
import { utcDay } from '../light/utc-day.fixture'

// The trade's scenes of a colour in a room's light (common practice, no published source).

export interface RoomScene {
  readonly says: string
  readonly holds: boolean
  readonly said: string
}

// An invented house at a temperate latitude, an equinox day in UTC.
const HOUSE = { latitudeDeg: 52, longitudeDeg: 0 }

const roomDay = (...windows: (Partial<RoomWindow> & { bearingDeg: number })[]): RoomDay => ({
  room: {
    northSouthMm: 4500,
    eastWestMm: 4500,
    heightMm: 2600,
    windows: windows.map((window) => ({ ...PLAIN_WINDOW, ...window })),
    lamps: [PLAIN_LAMP],
  },
  place: HOUSE,
  day: utcDay('2026-03-21'),
})

const surface = (lab: readonly number[]): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: lab as unknown as Lab })
const LAMPS = prepareLight(ledSpectrum(2700, 82), 100)
const daylight = (cctK: number, lux: number): PreparedLight =>
  prepareLight(daylightSpectrum(cctK), lux)

const advised = (wall: Reflectance, room: RoomCharacter): readonly AdviceKind[] =>
  saidOf(roomAdvice(wall, room, DEFAULT_HOUSE_RULES)).map(({ kind }) => kind)

/** The light of a room with one window, at the walls. */
function lit(window: Partial<RoomWindow> & { bearingDeg: number }, choice: Partial<LightChoice>) {
  const light = lightOf(roomDay(window), {
    source: 'room',
    minute: 12 * 60,
    sky: 'clear',
    lampsOn: false,
    spot: 'walls',
    ...choice,
  })!
  return prepareLight(light.spectrum, light.illuminanceLux)
}

interface Case {
  readonly says: string
  readonly wall: readonly number[]
  readonly daylightFactorPercent?: number | undefined
  readonly light?: string | undefined
  readonly expect: string
}

function holds({
  wall: lab,
  daylightFactorPercent: factor,
  light,
  expect,
}: Case): [boolean, string] {
  const wall = surface(lab)
  if (factor !== undefined) {
    const kinds = advised(wall, { ...ORDINARY_ROOM, daylightFactorPercent: factor })
    const said = kinds.join(', ') || 'nothing'
    const washedOut = kinds.includes('washes out')
    if (expect === 'dingy') return [kinds.includes('dingy'), said]
    if (expect === 'not dingy') return [!kinds.includes('dingy'), said]
    if (expect === 'washes out') return [washedOut, said]
    if (expect === 'not washed out') return [!washedOut, said]
    return [kinds.includes('loses its warmth'), said]
  }
  const north = lit({ bearingDeg: 0 }, {})
  const lean = (in_: PreparedLight) => undertoneOf(in_, wall)
  switch (`${light}: ${expect}`) {
    case 'overcast north, dim: muddy': {
      const kinds = advised(wall, {
        ...ORDINARY_ROOM,
        daylightFactorPercent: 0.8,
        coolAndEven: true,
      })
      return [kinds.includes('muddy'), kinds.join(', ')]
    }
    case '2700 K lamps: not muddy': {
      const kinds = advised(wall, { ...ORDINARY_ROOM, daylightFactorPercent: 0 })
      return [!kinds.includes('muddy'), kinds.join(', ') || 'nothing']
    }
    case 'north, clear: leans blue': {
      const { c, hueDeg } = drawnUndertone(north, wall)
      return [
        c >= NO_LEAN_BELOW && hueName(hueDeg) === 'blue',
        `${hueName(hueDeg)} ${c.toFixed(1)}`,
      ]
    }
    case '2700 K lamps: less blue than by daylight': {
      const [lamp, day] = [drawnUndertone(LAMPS, wall).b, drawnUndertone(north, wall).b]
      return [lamp > day + 1, `b′ ${day.toFixed(1)} to ${lamp.toFixed(1)}`]
    }
    case '2700 K lamps: as drawn: orange to yellow': {
      const { c, hueDeg } = drawnUndertone(LAMPS, wall)
      const name = hueName(hueDeg)
      return [c >= NO_LEAN_BELOW && /orange|yellow$/.test(name), `${name} ${c.toFixed(1)}`]
    }
    case '2700 K lamps: as drawn: b* or b at least 3 higher than by daylight': {
      const more = drawnUndertone(LAMPS, wall).b - drawnUndertone(daylight(6504, 500), wall).b
      return [more >= 3, `${more.toFixed(1)} up`]
    }
    case 'east and west: smaller swing, said': {
      const balance = balanceOf(roomDay({ bearingDeg: 90 }, { bearingDeg: 270 }), 'clear')
      return [
        balance !== null && balance.together < Math.min(...balance.alone),
        balance?.words ?? '–',
      ]
    }
    case 'west, late sun: less blue than by overcast': {
      const late = lit({ bearingDeg: 270 }, { minute: 17.5 * 60 })
      const dull = lit({ bearingDeg: 270 }, { sky: 'overcast' })
      const [sun, cloud] = [drawnUndertone(late, wall).b, drawnUndertone(dull, wall).b]
      return [sun > cloud, `b′ ${cloud.toFixed(1)} to ${sun.toFixed(1)}`]
    }
    case 'south clear against north overcast: closer to white in the south room': {
      const south = lit({ bearingDeg: 180, widthMm: 2400 }, {})
      const dull = lit({ bearingDeg: 0 }, { sky: 'overcast' })
      const fromWhite = (in_: PreparedLight): number => {
        const [card, own] = [
          correlatesInRoom(in_, surface([95, 0, 0])),
          correlatesInRoom(in_, wall),
        ]
        return Math.hypot(card.Q - own.Q, own.M) / card.Q
      }
      return [
        fromWhite(south) < fromWhite(dull),
        `${fromWhite(dull).toFixed(3)} to ${fromWhite(south).toFixed(3)}`,
      ]
    }
    case 'north, clear: does not lean blue or green': {
      const name = hueName(lean(north).hueDeg)
      return [!/blue|green/.test(name), name]
    }
    case 'south, curtained: less colour than uncurtained': {
      const [open, drawn] = (['none', 'drawn'] as const).map((curtain) => {
        const { room } = roomDay({ bearingDeg: 180, curtain })
        const factor = daylightFactorPercent(room)
        return correlatesInRoom(
          dullLight({ ...ORDINARY_ROOM, daylightFactorPercent: factor }),
          wall,
        ).M
      })
      return [drawn! < open!, `M ${open!.toFixed(1)} to ${drawn!.toFixed(1)}`]
    }
    default:
      return [false, `no question for “${light}: ${expect}”`]
  }
}

/** The 19 scenes of rooms. */
export const roomScenes = (): RoomScene[] =>
  (tradeScenes.rooms as readonly Case[]).map((each) => {
    const [isSo, said] = holds(each)
    return { says: each.says, holds: isSo, said }
  })
