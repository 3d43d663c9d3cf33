'use client'

import type { ComponentProps } from 'react'
import { lengthWords } from '@/core/units'
import { useSettings } from '../settings/settings-context'
import { Field } from './field'
import { wasName } from './form-values'

/** A length in the units of the settings; any unit may be typed. */
export function LengthField({
  mm,
  ...field
}: { readonly mm: number } & Omit<ComponentProps<typeof Field>, 'defaultValue' | 'unit'>) {
  const { lengths } = useSettings()
  return (
    <>
      <Field {...field} defaultValue={lengthWords(mm, lengths)} />
      <input type="hidden" name={wasName(field.name)} value={mm} />
    </>
  )
}
