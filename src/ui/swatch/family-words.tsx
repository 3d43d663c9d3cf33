'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { seenLine, seenWords } from '@/core/undertone/drawn'
import type { HouseRules } from '@/core/advice/house-rules'
import { useLight } from '../light-bar/light-context'

/** What a colour reads as in the light of the page, first as it is drawn. */
export function FamilyWords({
  reflectance,
  rules,
}: {
  readonly reflectance: Reflectance
  readonly rules: HouseRules
}) {
  const { prepared } = useLight()
  const words = useMemo(
    () => (prepared ? seenLine(seenWords(prepared, reflectance, rules)) : 'too dark to see'),
    [prepared, reflectance, rules],
  )
  return <span>{words}</span>
}
