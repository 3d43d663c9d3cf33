'use client'

import { useEffect, useState } from 'react'
import { HOUSE_RULES, type HouseRules } from '@/core/advice/house-rules'
import type { RoomCharacter } from '@/core/advice/room-character'
import { BRIGHT_ABOVE_PERCENT } from '@/core/light/daylight-factor'
import type { FirstRanked } from '@/workers/rank-protocol'
import { Choice } from '../form/choice'

const TRIED = ['weakest-strength', 'pairs', 'north-room', 'bright-whites'] as const
type TriedRule = (typeof TRIED)[number]

/** Rules that can change the order in a room of this light. */
const speakingIn = ({ coolAndEven, daylightFactorPercent }: RoomCharacter): TriedRule[] =>
  TRIED.filter(
    (rule) =>
      rule === 'weakest-strength' ||
      rule === 'pairs' ||
      (rule === 'north-room' ? coolAndEven : daylightFactorPercent > BRIGHT_ABOVE_PERCENT),
  )

/** The house rules that the ranking goes by here; another school is tried at once, and what it changes is said. */
export function RuleSwitch({
  character,
  rules,
  tried,
  first,
  onTry,
}: {
  readonly character: RoomCharacter
  /** The visit's own. */
  readonly rules: HouseRules
  readonly tried: Partial<HouseRules>
  readonly first: FirstRanked | null
  readonly onTry: (tried: Partial<HouseRules>) => void
}) {
  const isOwn = Object.keys(tried).length === 0
  const [own, setOwn] = useState<FirstRanked | null>(null)
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what the visit's own rules came to, to compare with
    if (isOwn && first) setOwn(first)
  }, [isOwn, first])
  const colourOf = ({ place, strengthPercent }: FirstRanked['laidOut'][number]): string =>
    `${place} ${strengthPercent}`
  const before = new Set((own?.laidOut ?? []).slice(0, 10).map(colourOf))
  const others = (first?.laidOut ?? []).slice(0, 10).filter((each) => !before.has(colourOf(each)))
  return (
    <details className="text-fine">
      <summary className="min-h-8 content-center">By the house rules</summary>
      {speakingIn(character).map((rule) => (
        <Choice
          key={rule}
          label={HOUSE_RULES[rule].question}
          value={tried[rule] ?? rules[rule]}
          options={Object.entries(HOUSE_RULES[rule].schools).map(([school, { label }]) => [
            school,
            label,
          ])}
          onChange={(school) => {
            const rest = Object.fromEntries(Object.entries(tried).filter(([each]) => each !== rule))
            onTry(school === rules[rule] ? rest : { ...rest, [rule]: school })
          }}
        />
      ))}
      <p role="status" className="font-medium">
        {!isOwn &&
          own &&
          first &&
          `Ranked by this rule to try it: ${others.length} of the first ten are new. To keep it, change the brief.`}
      </p>
    </details>
  )
}
