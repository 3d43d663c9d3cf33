import type { HouseRules } from '@/core/advice/house-rules'
import type { RoomBrief } from '@/core/ranking/asked-room'
import { asIfChanged, type AsIf } from '@/core/ranking/what-blocks'

/** The room with house rules that are only tried, and with what stays as if it were changed. */
export function triedIn(
  brief: RoomBrief,
  tried: Partial<HouseRules>,
  asIf: AsIf | null,
): RoomBrief {
  const rules = { ...brief.rules, ...tried }
  const finishes = (asIf ? asIfChanged(brief.finishes, asIf) : brief.finishes).map((finish) => ({
    ...finish,
    role: { ...finish.role, pairs: rules.pairs },
  }))
  return { ...brief, rules, finishes }
}

/** What it is shown as if. */
export function asIfWords({ keeperId, how }: AsIf, { finishes }: RoomBrief): string {
  const name = finishes.find((finish) => finish.keeperId === keeperId)?.name ?? 'it'
  return how === 'without' ? `${name} were gone` : `${name} were painted clean white`
}
