'use client'

import { memo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { Patch } from './patch'
import { useRelitColour } from './use-relit'

/** A surface in the light of the page. */
export const RelitPatch = memo(function RelitPatch({
  reflectance,
  label,
  className,
}: {
  readonly reflectance: Reflectance
  readonly label?: string
  readonly className?: string
}) {
  const colour = useRelitColour(reflectance)
  return <Patch colour={colour} label={label} className={className} />
})
