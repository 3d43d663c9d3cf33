'use client'

import { useDateHere } from './use-date-here'

/** The date of an instant where the person is. */
export function DateHere({ instant }: { readonly instant: string }) {
  return <time dateTime={instant}>{useDateHere(instant)}</time>
}
