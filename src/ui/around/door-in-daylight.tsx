'use client'

import type { Reflectance } from '@/core/colour/spectrum'
import { useLight } from '../light-bar/light-context'
import { Patch } from '../swatch/patch'
import { doorOutside } from '../trial/trial-model'

/** A door's outside face in open daylight, beside the same inside. */
export function DoorInDaylight({ reflectance }: { readonly reflectance: Reflectance }) {
  const { prepared } = useLight()
  if (!prepared) return null
  const sides = doorOutside(prepared, reflectance)
  return (
    <>
      <span className="my-1 flex h-8">
        {sides.map(({ label, colour }) => (
          <Patch key={label} colour={colour} label={label} className="h-full flex-1" />
        ))}
      </span>
      {sides
        .filter(({ words }) => words !== '')
        .map(({ label, words }) => (
          <p key={label}>In open daylight: {words}.</p>
        ))}
    </>
  )
}
