'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { besideComparators } from '@/core/undertone/comparators'
import { seenLine, seenWords } from '@/core/undertone/drawn'
import type { HouseRules } from '@/core/advice/house-rules'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'

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
