import { roomScenes } from '../../src/core/advice/room-scenes.fixture'
import { LIMITS } from '../../src/core/pairing/limits'
import { heldOutCases } from '../../src/core/pairing/held-out.fixture'
import { jittered, ownRuleCases } from '../../src/core/pairing/own-rules.fixture'
import {
  pairRuleCases,
  scenePairs,
  sceneParts,
  type TradeCase,
} from '../../src/core/pairing/trade-cases.fixture'
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
}

const allCases = (): TradeCase[] => [...scenePairs(), ...pairRuleCases(), ...ownRuleCases()]

// The free numbers of a pair, and a value of each that takes its condition away.
type Path = readonly [group: keyof typeof LIMITS, key: string | null, without: number]
const FREE: readonly Path[] = [
  ['conflict', null, 1e3],
  ['lightnessScale', null, 1e3],
  ['feltLean', null, -10],
  ['contrast', 'hueDeg', 1e3],
  ['setOff', 'strong', 1e3],
  ['deepTrim', 'lean', 1e3],
  ['bridge', 'leanBelow', -1e3],
  ['black', 'jBelow', -1e3],
  ['wood', 'takes', 0],
  ['dirtyLight', 'yellower', 1e3],
  ['dirty', 'cleaner', 1e3],
  ['washesOut', 'finishLean', 1e3],
  ['nearMiss', 'belowE', -1e3],
  ['quiet', 'lighter', 1e3],
]

/** Runs something with one limit changed; the limits are constants everywhere else. */
function withLimit<Result>([group, key]: Path, value: number, run: () => Result): Result {
  const limits = LIMITS as unknown as Record<string, number | Record<string, number>>
  const held = key === null ? limits : (limits[group] as Record<string, number>)
  const name = key ?? group
  const kept = held[name] as number
  held[name] = value
  try {
    return run()
  } finally {
    held[name] = kept
  }
}
const valueOf = ([group, key]: Path): number => {
  const limit = LIMITS[group] as unknown as number | Record<string, number>
  return key === null ? (limit as number) : (limit as Record<string, number>)[key]!
}

const share = (cases: readonly TradeCase[]): number =>
  cases.filter(({ holds }) => holds).length / cases.length

/**
 * Each family of finishes left out in turn: every free number is moved to where the other families hold best, then the
 * family that was left out is asked. What is shipped should be no worse there than what was fitted without it.
 */
export function printLeftOut(): void {
  const families = [...new Set(allCases().map(({ family }) => family))]
  for (const family of families) {
    const others = (): number => share(allCases().filter((each) => each.family !== family))
    const own = (): TradeCase[] => allCases().filter((each) => each.family === family)
    const count = own().length
    if (count < 5) continue
    const fitted: [Path, number][] = FREE.map((path) => {
      const shipped = valueOf(path)
      const best = [1, 0.9, 1.1, 0.8, 1.25].map((by) => ({
        value: shipped * by,
        held: withLimit(path, shipped * by, others),
      }))
      return [path, best.reduce((p, q) => (q.held > p.held + 1e-9 ? q : p)).value]
    })
    const all = fitted.reduce<() => number>(
      (run, [path, value]) =>
        () =>
          withLimit(path, value, run),
      () => share(own()),
    )
    const moved = fitted.filter(([path, value]) => value !== valueOf(path)).length
    console.log(
      `  ${family} (${count} cases): ${(100 * all()).toFixed(0)} % hold with the numbers fitted to the rest (${moved} of ${FREE.length} moved), ${(100 * share(own())).toFixed(0)} % as shipped`,
    )
  }
}

/** Every limit taken out by itself, and the cases that fail without it. */
export function printWithout(): void {
  const failing = (): Set<string> =>
    new Set(
      allCases()
        .filter(({ holds }) => !holds)
        .map(({ says }) => says),
    )
  const shipped = failing()
  for (const path of FREE) {
    const without = [...withLimit(path, path[2], failing)].filter((says) => !shipped.has(says))
    console.log(`  without ${path[0]}${path[1] ? `.${path[1]}` : ''}: ${without.length} more fail`)
    for (const says of without.slice(0, 6)) console.log(`    ${says}`)
  }
}
