'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { besideComparators } from '@/core/undertone/comparators'
import { familyOf } from '@/core/undertone/family'
import type { HouseRules } from '@/core/advice/house-rules'
import { bothReadings } from '@/core/undertone/hue-name'
import { undertoneOf } from '@/core/undertone/undertone'
import { lrvPercent } from '@/core/paint/lrv'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'

/** "light-mid, between beige and greige; orange on the card, pink among its kind". */
export function FamilyWords({
  reflectance,
  rules,
}: {
  readonly reflectance: Reflectance
  readonly rules: HouseRules
}) {
  const { prepared } = useLight()
  const words = useMemo(() => {
    if (!prepared) return 'too dark to see'
    const undertone = undertoneOf(prepared, reflectance)
    return `${familyOf(undertone, lrvPercent(reflectance), rules).words}; ${bothReadings(undertone)}`
  }, [prepared, reflectance, rules])
  return <span>{words}</span>
}

/** A colour against each reference colour that brings an undertone out, touching, and what it looks. */
export function ComparatorStrip({ reflectance }: { readonly reflectance: Reflectance }) {
  const { prepared } = useLight()
  const beside = useMemo(
    () => (prepared ? besideComparators(prepared, reflectance) : []),
    [prepared, reflectance],
  )
  return (
    <section aria-label="Beside comparators">
      <h3 className="mb-1 text-small font-medium">Beside others it looks</h3>
      <ul className="grid grid-cols-4 gap-x-2 gap-y-1">
        {beside.map(({ name, reflectance: other, looks }) => (
          <li key={name}>
            <span className="flex h-11">
              <RelitPatch reflectance={reflectance} className="h-full flex-1" />
              <RelitPatch reflectance={other} className="h-full flex-1" />
            </span>
            <span className="block text-fine">
              <span className="font-medium">{looks}</span>
              <span className="block text-dim">{name}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
