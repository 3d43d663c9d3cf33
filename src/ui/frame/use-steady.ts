'use client'

import { useMemo, useState } from 'react'

/**
 * A value that a page was rendered with anew, as the very one before where it says the same: what is worked out of it need not be
 * worked out again.
 */
export function useSteady<Value>(value: Value): Value {
  const text = useMemo(() => JSON.stringify(value), [value])
  const [held, setHeld] = useState({ value, text })
  if (held.text === text) return held.value
  setHeld({ value, text })
  return value
}
