import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import type { Reflectance } from '../../src/core/colour/spectrum'
import type { Lab } from '../../src/core/colour/lab'
import { keyLights, type KeyLight } from '../../src/core/light/key-lights'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../../src/core/light/room'
import type { JudgedKeeper } from '../../src/core/pairing/judged-keeper'
import type { StrengthRung } from '../../src/core/pairing/pair-reading'
import { roleOf } from '../../src/core/pairing/role'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'
import { SHIPPED_DECK } from '../../src/formats/shipped-deck'
import { localDay } from '../../src/time/local-day'
import type { DemoKeeper, DemoRoom, DemoVisit } from '../../demo/visits/visit-shape'

const surface = (lab: Lab): Reflectance => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = surface(SHIPPED_DECK.whiteBase)
const deck = new Map(
  Papa.parse<{ code: string; L: string; a: string; b: string }>(
    readFileSync(new URL('../../demo/deck.csv', import.meta.url), 'utf8'),
    { header: true, skipEmptyLines: true },
  ).data.map(({ code, L, a, b }) => [code, [Number(L), Number(a), Number(b)] as Lab]),
)

/** The key lights of a room of the demo, without a store. */
export function demoLights(visit: DemoVisit, room: DemoRoom): KeyLight[] {
  const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
  return keyLights({
    place: visit.place,
    day: localDay(visit.date, visit.place.timeZone),
    room: {
      northSouthMm,
      eastWestMm,
      heightMm,
      windows: room.windows.map((window) => ({ ...PLAIN_WINDOW, ...window })),
      lamps: room.lamps.map((lamp) => ({ ...PLAIN_LAMP, ...lamp })),
    },
  })
}

/** A keeper of the demo as walls are held to it. */
export const demoFinish = ({ houseRules }: DemoVisit, keeper: DemoKeeper): JudgedKeeper => ({
  name: keeper.name,
  role: roleOf(keeper.kind, houseRules),
  varies: keeper.varies ?? false,
  colours: keeper.colours.map(([part, sharePercent, lab]) => ({
    part,
    sharePercent,
    reflectance: surface(lab),
    source: keeper.photographed ? 'photo' : 'reader',
  })),
})

/** A candidate of the demo at its strength. */
export const demoPaint = (code: string, strengthPercent: number): StrengthRung => ({
  strengthPercent,
  reflectance: atStrength(surface(deck.get(code)!), WHITE_BASE, strengthPercent),
  source: 'maker',
})
