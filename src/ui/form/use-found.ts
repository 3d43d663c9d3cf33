'use client'

import { useEffect, useState } from 'react'
import type { z } from 'zod'

interface Found<T> {
  readonly found: readonly T[]
  /** Whether this is the answer to what stands there now. */
  readonly isAnswered: boolean
  /** What there is to say where nothing could be asked. */
  readonly problem: string
}

const NOTHING: Found<never> = { found: [], isAnswered: false, problem: '' }

/** Asks a handler for what fits a text as it is typed; the last text counts. Nothing is asked for an empty address. */
export function useFound<S extends z.ZodType>(
  address: string,
  schema: z.ZodArray<S>,
): Found<z.infer<S>> {
  const [answered, setAnswered] = useState<
    { readonly to: string } & Omit<Found<z.infer<S>>, 'isAnswered'>
  >({
    to: '',
    found: [],
    problem: '',
  })
  useEffect(() => {
    if (address === '') return
    const stop = new AbortController()
    fetch(address, { signal: stop.signal })
      .then(async (answer) =>
        setAnswered({ to: address, found: schema.parse(await answer.json()), problem: '' }),
      )
      .catch(() => {
        if (!stop.signal.aborted)
          setAnswered({ to: address, found: [], problem: 'The server is not answering.' })
      })
    return () => stop.abort()
  }, [address, schema])
  return address === '' ? NOTHING : { ...answered, isAnswered: answered.to === address }
}
