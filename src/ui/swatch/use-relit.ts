'use client'

import { useMemo } from 'react'
import { screenColour, type ScreenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { hueName, undertoneWords } from '@/core/undertone/hue-name'
import { lightnessWord } from '@/core/undertone/lightness-word'
import { undertoneOf } from '@/core/undertone/undertone'
import { lrvPercent } from '@/core/paint/lrv'
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

/** "off-white, leans pink, towards violet": what the light of the page makes of a surface. */
export function useSurfaceWords(reflectance: Reflectance): string {
  const { prepared } = useLight()
  return useMemo(() => {
    if (!prepared) return 'too dark to see'
    const lightness = lightnessWord(lrvPercent(reflectance))
    return `${lightness}, ${undertoneWords(undertoneOf(prepared, reflectance))}`
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
