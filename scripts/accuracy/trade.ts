import { roomScenes } from '../../src/core/advice/room-scenes.fixture'
import { heldOutCases } from '../../src/core/pairing/held-out.fixture'
import { ownHouseCases } from '../../src/core/pairing/own-house.fixture'
import { jittered, ownRuleCases } from '../../src/core/pairing/own-rules.fixture'
import { pairRuleCases, scenePairs, sceneParts } from '../../src/core/pairing/trade-cases.fixture'
import { rankingScenes } from '../../src/core/ranking/ranking-scenes.fixture'
import { constructedNeutrals, sceneNames } from '../../src/core/undertone/neutrals.fixture'

interface Held {
  readonly says: string
  readonly holds: boolean
  readonly said: string
}

function printShare(name: string, cases: readonly Held[]): void {
  const misses = cases.filter(({ holds }) => !holds)
  console.log(`  ${name}: ${cases.length - misses.length} of ${cases.length}`)
  for (const { says, said } of misses) console.log(`    misses “${says}”: ${said}`)
}

const named = (
  cases: ReturnType<typeof sceneNames>,
  of: 'undertoneHolds' | 'familyHolds',
): Held[] => cases.map((each) => ({ says: each.id, holds: each[of], said: each.said }))

/** The shares of the trade's scenes, rules and names that hold. */
export function printTrade(): void {
  printShare('scenes, pairs', scenePairs())
  printShare('scenes, mixed finishes', sceneParts())
  printShare('scenes, rooms', roomScenes())
  printShare('scenes, rankings', rankingScenes())
  printShare(
    'scenes, names',
    sceneNames().map(({ id, undertoneHolds, familyHolds, said }) => ({
      says: id,
      holds: undertoneHolds && familyHolds,
      said,
    })),
  )
  printShare('rules', pairRuleCases())
  printShare('neutrals, undertone', named(constructedNeutrals(), 'undertoneHolds'))
  printShare('neutrals, family', named(constructedNeutrals(), 'familyHolds'))
  printShare('our own rules, looked at while the numbers were set', ownRuleCases())
  printShare('our own rules, each colour moved by ΔE 1', ownRuleCases(jittered()))
  printShare('pairs that nothing was tuned to', heldOutCases())
  printShare('a hundred pairs of a house of our own, asked once', ownHouseCases())
}
