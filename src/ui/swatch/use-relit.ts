'use client'

import { useMemo } from 'react'
import { screenColour, WHITE_CARD, type ScreenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { undertoneWords } from '@/core/judge/hue-name'
import { lightnessWord } from '@/core/judge/lightness-word'
import { undertoneOf } from '@/core/judge/undertone'
import { lrvPercent } from '@/core/paint/reading'
import { useLight } from '../light-bar/light-context'
import { DARK } from './painter'

/** A surface as it looks in the light of the page. */
export function useRelitColour(reflectance: Reflectance): ScreenColour {
  const { prepared } = useLight()
  return useMemo(
    () => (prepared ? screenColour(prepared, reflectance) : DARK),
    [prepared, reflectance],
  )
}

/** The white card in the light of the page. */
export const useRelitCard = (): ScreenColour => useRelitColour(WHITE_CARD)

/** "off-white, leans pink, towards violet": what the light of the page makes of a surface. */
export function useSurfaceWords(reflectance: Reflectance): string {
  const { prepared } = useLight()
  return useMemo(() => {
    if (!prepared) return 'too dark to see'
    const lightness = lightnessWord(lrvPercent(reflectance))
    return `${lightness}, ${undertoneWords(undertoneOf(prepared, reflectance))}`
  }, [prepared, reflectance])
}
