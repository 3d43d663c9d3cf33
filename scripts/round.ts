// npm run round: how many pairs a round leaves out for a simulated eye, in every room of the demo.
import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import type { Lab } from '../src/core/colour/lab'
import { keyLights } from '../src/core/light/key-lights'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../src/core/light/room'
import { reflectanceOfReading } from '../src/core/paint/reading'
import { atStrength } from '../src/core/paint/strength'
import { dearnessOf, isFixed, isJudgedAgainst } from '../src/core/pairing/keeper-kind'
import { roleOf } from '../src/core/pairing/role'
import { tryRound, type TriedKeeper } from '../src/core/round/simulated-eye'
import { SHIPPED_DECK } from '../src/formats/shipped-deck'
import { localDay } from '../src/time/local-day'
import { DEMO_VISITS } from '../demo/scenario'

const OFF = 0.15
const SEEDS = [1, 2, 3]

const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = surface(SHIPPED_DECK.whiteBase)
const deck = new Map(
  Papa.parse<{ code: string; L: string; a: string; b: string }>(
    readFileSync(new URL('../demo/deck.csv', import.meta.url), 'utf8'),
    { header: true, skipEmptyLines: true },
  ).data.map(({ code, L, a, b }) => [code, [Number(L), Number(a), Number(b)] as Lab]),
)

console.log(
  `A simulated eye, its limits up to ${100 * OFF} % off, seeds ${SEEDS.join(', ')}: pairs asked of every candidate beside every finish in every light`,
)
const sum = { asked: 0, all: 0, unlike: 0 }
for (const visit of DEMO_VISITS)
  for (const room of visit.rooms) {
    const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
    const lights = keyLights({
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
    const keepers = room.keepers
      .filter(({ state }) => isJudgedAgainst(state))
      .sort(
        (p, q) => dearnessOf(q.kind, q.dearness ?? null) - dearnessOf(p.kind, p.dearness ?? null),
      )
      .map((keeper): TriedKeeper => ({
        id: keeper.name,
        name: keeper.name,
        settles: keeper.state === 'staying' && isFixed(keeper.kind),
        role: roleOf(keeper.kind, visit.houseRules),
        varies: keeper.varies ?? false,
        colours: keeper.colours.map(([part, sharePercent, lab]) => ({
          part,
          sharePercent,
          reflectance: surface(lab),
          source: keeper.photographed ? 'photo' : 'reader',
        })),
      }))
    const candidates = visit.candidates.map(([code, strengthPercent]) => ({
      id: `${code} ${strengthPercent}`,
      paint: {
        strengthPercent,
        reflectance: atStrength(surface(deck.get(code)!), WHITE_BASE, strengthPercent),
        source: 'maker' as const,
      },
    }))
    const counted = {
      byDay: lights.filter(({ name }) => name !== 'lamps').map(({ prepared }) => prepared),
      lamps: lights.find(({ name }) => name === 'lamps')?.prepared ?? null,
    }
    if (lights.length === 0 || keepers.length === 0 || candidates.length === 0) continue
    const tried = SEEDS.map((seed) => tryRound(counted, keepers, candidates, OFF, seed))
    const unlike = tried.filter(
      ({ rulings, rulingsOfAll }) => JSON.stringify(rulings) !== JSON.stringify(rulingsOfAll),
    ).length
    console.log(
      `  ${visit.household}, ${room.name}: ${tried.map(({ asked }) => asked).join(', ')} of ${tried[0]!.all}` +
        (unlike > 0 ? `; ${unlike} with other rulings` : ''),
    )
    for (const { asked, all } of tried) {
      sum.asked += asked
      sum.all += all
    }
    sum.unlike += unlike
  }
console.log(
  `${(100 * (1 - sum.asked / sum.all)).toFixed(0)} % fewer than all beside all; ${sum.unlike} rooms with other rulings`,
)
