import type { HouseRules } from '@/core/advice/house-rules'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import type { PracticeFinish } from '@/core/practice/asked-about'
import { listLatestKeepers } from '@/db/keepers'
import { openDb } from '@/store/store'
import { keeperFinish } from './paints'

// Enough for every kind; older houses are forgotten first.
const MOST = 80

/** One's own finishes of the last visits, to practise on. */
export async function loadOwnFinishes(rules: HouseRules): Promise<PracticeFinish[]> {
  const keepers = await listLatestKeepers(await openDb(), MOST)
  return keepers
    .filter(({ state, colours }) => isJudgedAgainst(state) && colours.length > 0)
    .map((keeper) => {
      const { name, varies, role, colours, patchHash } = keeperFinish(keeper, rules)
      return {
        ref: { own: keeper.id },
        kind: keeper.kind,
        patchHash,
        keeper: { name, varies, role, colours },
      }
    })
}
