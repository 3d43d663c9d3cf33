import { isBad, isGood, JUDGEMENTS, type Judgement } from '../../src/core/pairing/chance'
import { isJudgedAgainst } from '../../src/core/pairing/keeper-kind'
import { pairReading } from '../../src/core/pairing/pair-reading'
import { DEMO_VISITS } from '../../demo/scenario'
import { demoFinish, demoLights, demoPaint } from '../lib/demo-rooms'

const LIGHT_OF = { room: 'midday', north: 'midday', west: 'sun', lamps: 'lamps' } as const

/**
 * The demo's every candidate beside every keeper in the room's key lights: how sure the judge is, and where it and the
 * demo's consultant say opposite things. With --pairs each is listed.
 */
export function printDemo(listed: boolean): void {
  const counts = new Map<Judgement, number>(JUDGEMENTS.map((each) => [each, 0]))
  const against: string[] = []
  let looks = 0
  for (const visit of DEMO_VISITS)
    for (const room of visit.rooms) {
      const lights = demoLights(visit, room)
      for (const keeper of room.keepers.filter(({ state }) => isJudgedAgainst(state)))
        for (const [code, strengthPercent] of visit.candidates)
          for (const { name, prepared } of lights) {
            const reading = pairReading(
              prepared,
              demoPaint(code, strengthPercent),
              demoFinish(visit, keeper),
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
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0)
  console.log(
    `  ${all} pairs: ` +
      [...counts].map(([word, n]) => `${word} ${((100 * n) / all).toFixed(0)} %`).join(', '),
  )
  console.log(`  of ${looks} looks the eye and the judge say opposite things in ${against.length}`)
  for (const each of against) console.log(`    ${each}`)
}
