import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import type { Lab } from '../../src/core/colour/lab'
import { keyLights } from '../../src/core/light/key-lights'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../../src/core/light/room'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'
import { isBad, isGood, JUDGEMENTS, type Judgement } from '../../src/core/pairing/chance'
import { isJudgedAgainst } from '../../src/core/pairing/keeper-kind'
import { pairReading } from '../../src/core/pairing/pair-reading'
import { roleOf } from '../../src/core/pairing/role'
import { localDay } from '../../src/time/local-day'
import { SHIPPED_DECK } from '../../src/formats/shipped-deck'
import { DEMO_VISITS } from '../../demo/scenario'

const deck = new Map(
  Papa.parse<{ code: string; L: string; a: string; b: string }>(
    readFileSync(new URL('../../demo/deck.csv', import.meta.url), 'utf8'),
    { header: true, skipEmptyLines: true },
  ).data.map(({ code, L, a, b }) => [code, [Number(L), Number(a), Number(b)] as Lab]),
)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = surface(SHIPPED_DECK.whiteBase)
const LIGHT_OF = { room: 'midday', north: 'midday', west: 'sun', lamps: 'lamps' } as const

/**
 * The demo's every candidate beside every keeper in the room's key lights: how sure the judge is, and where it and the
 * demo's consultant say opposite things. With --pairs each is listed.
 */
export function printDemo(listed: boolean): void {
  const counts = new Map<Judgement, number>(JUDGEMENTS.map((each) => [each, 0]))
  const against: string[] = []
  let looks = 0
  for (const visit of DEMO_VISITS) {
    const place = visit.place
    const day = localDay(visit.date, place.timeZone)
    for (const room of visit.rooms) {
      const [northSouthMm, eastWestMm, heightMm] = room.sizeMm
      const lights = keyLights({
        place,
        day,
        room: {
          northSouthMm,
          eastWestMm,
          heightMm,
          windows: room.windows.map((window) => ({ ...PLAIN_WINDOW, ...window })),
          lamps: room.lamps.map((lamp) => ({ ...PLAIN_LAMP, ...lamp })),
        },
      })
      for (const keeper of room.keepers.filter(({ state }) => isJudgedAgainst(state)))
        for (const [code, strengthPercent] of visit.candidates)
          for (const { name, prepared } of lights) {
            const reading = pairReading(
              prepared,
              {
                strengthPercent,
                reflectance: atStrength(surface(deck.get(code)!), WHITE_BASE, strengthPercent),
                source: 'maker',
              },
              {
                name: keeper.name,
                role: roleOf(keeper.kind, visit.houseRules),
                varies: keeper.varies ?? false,
                colours: keeper.colours.map(([part, sharePercent, lab]) => ({
                  part,
                  sharePercent,
                  reflectance: surface(lab),
                  source: keeper.photographed ? 'photo' : 'reader',
                })),
              },
            )
            counts.set(reading.judgement, counts.get(reading.judgement)! + 1)
            if (listed)
              console.log(
                `  ${room.name}, ${keeper.name}, ${code} at ${strengthPercent} %, ${name}: ${reading.judgement} ${reading.chance.toFixed(2)}. ${reading.sentence}`,
              )
            for (const look of room.looks) {
              if (look.code !== code || look.against !== keeper.name) continue
              if (LIGHT_OF[look.light] !== name) continue
              looks++
              const said = look.verdict
              const opposite =
                (said === 'works' && isBad(reading.chance)) ||
                (said === 'no' && isGood(reading.chance))
              if (opposite)
                against.push(
                  `${room.name}: ${code} beside ${keeper.name}, ${name}: eye ${said}, judge ${reading.judgement} (${reading.pairing})`,
                )
            }
          }
    }
  }
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0)
  console.log(
    `  ${all} pairs: ` +
      [...counts].map(([word, n]) => `${word} ${((100 * n) / all).toFixed(0)} %`).join(', '),
  )
  console.log(`  of ${looks} looks the eye and the judge say opposite things in ${against.length}`)
  for (const each of against) console.log(`    ${each}`)
}
