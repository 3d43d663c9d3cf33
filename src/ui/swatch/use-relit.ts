'use client'

import { useMemo } from 'react'
import { screenColour, type ScreenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { hueName } from '@/core/undertone/hue-name'
import { seenLine, seenWords } from '@/core/undertone/drawn'
import { undertoneOf } from '@/core/undertone/undertone'
import { useLight } from '../light-bar/light-context'
import { DARK } from './painter'

// A lean weaker than this lends a wall less than an eye sees.
const PUSHES_FROM = 5

/** A surface as it looks in the light of the page, at rest; a swatch is a `RelitPatch`. */
export function useRelitColour(reflectance: Reflectance): ScreenColour {
  const { prepared } = useLight()
  return useMemo(
    () => (prepared ? screenColour(prepared, reflectance) : DARK),
    [prepared, reflectance],
  )
}

/** What the light of the page makes of a surface, first as it is drawn. */
export function useSurfaceWords(reflectance: Reflectance): string {
  const { prepared } = useLight()
  return useMemo(() => {
    return prepared ? seenLine(seenWords(prepared, reflectance)) : 'too dark to see'
  }, [prepared, reflectance])
}

/** Which way a finish pushes a wall beside it: the eye lends the wall the opposite of the finish's lean. */
export function usePushWords(reflectance: Reflectance): string {
  const { prepared } = useLight()
  return useMemo(() => {
    if (!prepared) return ''
    const own = undertoneOf(prepared, reflectance)
    if (own.c < PUSHES_FROM) return 'pushes a wall nowhere'
    return `pushes a wall towards ${hueName((own.hueDeg + 180) % 360)}`
  }, [prepared, reflectance])
}
