'use client'

import type { Reflectance } from '@/core/colour/spectrum'
import type { HouseRules } from '@/core/advice/house-rules'
import { lrvPercent } from '@/core/paint/lrv'
import { READING_UNCERTAINTY, type ReadingSource, type Uncertainty } from '@/core/paint/reading'
import { FamilyWords } from '../swatch/family-words'
import { usePushWords } from '../swatch/use-relit'

/** What a reading means in the trade's words, in the light of the page: lightness, family, lean, push, and how sure. */
export function ReadingWords({
  reflectance,
  source,
  readBy,
  uncertainty = READING_UNCERTAINTY[source],
  rules,
}: {
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  readonly readBy: string
  /** As the reading itself has told it; else its kind says. */
  readonly uncertainty: Uncertainty | undefined
  readonly rules: HouseRules
}) {
  const push = usePushWords(reflectance)
  return (
    <>
      LRV {Math.round(lrvPercent(reflectance))}, <FamilyWords {...{ reflectance, rules }} />
      {push && `; ${push}`}{' '}
      <span className="relative text-dim" title={readBy}>
        <span className="sr-only">({readBy}, </span>±{'\u00a0'}
        {Math.round(10 * uncertainty.lean) / 10}
        <span className="sr-only">)</span>
      </span>
    </>
  )
}
