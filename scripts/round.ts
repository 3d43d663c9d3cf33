// npm run round: how many pairs a round leaves out for a simulated eye, in every room of the demo.
import { dearnessOf, isFixed, isJudgedAgainst } from '../src/core/pairing/keeper-kind'
import { tryRound, type TriedKeeper } from '../src/core/round/simulated-eye.fixture'
import { DEMO_VISITS } from '../demo/scenario'
import { demoFinish, demoLights, demoPaint } from './lib/demo-rooms'

const OFF = 0.15
const SEEDS = [1, 2, 3]

console.log(
  `A simulated eye, its limits up to ${100 * OFF} % off, seeds ${SEEDS.join(', ')}: pairs asked of every candidate beside every finish in every light`,
)
const sum = { asked: 0, all: 0, unlike: 0 }
// A test only sees that it runs: of one room.
const [few] = DEMO_VISITS
for (const visit of process.env.ELM_SMALL
  ? [{ ...few!, rooms: few!.rooms.slice(0, 1) }]
  : DEMO_VISITS)
  for (const room of visit.rooms) {
    const lights = demoLights(visit, room)
    const keepers = room.keepers
      .filter(({ state }) => isJudgedAgainst(state))
      .sort(
        (p, q) => dearnessOf(q.kind, q.dearness ?? null) - dearnessOf(p.kind, p.dearness ?? null),
      )
      .map((keeper): TriedKeeper => ({
        ...demoFinish(visit, keeper),
        id: keeper.name,
        settles: keeper.state === 'staying' && isFixed(keeper.kind),
      }))
    const candidates = visit.candidates.map(([code, strengthPercent]) => ({
      id: `${code} ${strengthPercent}`,
      paint: demoPaint(code, strengthPercent),
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
