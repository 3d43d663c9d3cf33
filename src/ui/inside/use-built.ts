'use client'

import { useEffect, useRef, useState } from 'react'
import { RoomInWorker, type BuiltRoom } from '@/workers/room-client'
import type { BuildRequest } from '@/workers/room-protocol'

/** A room that was built in a worker of its own, and how far it is until then. */
export interface BuiltInWorker {
  readonly worker: RoomInWorker | null
  readonly built: BuiltRoom | null
  readonly done: number
  readonly failed: boolean
}

const NOT_BUILT: BuiltInWorker = { worker: null, built: null, done: 0, failed: false }

/** Builds rooms in a worker of their own, anew when they are others; what was built before is shown until then. */
export function useBuilt(rooms: BuildRequest['rooms'] | null): BuiltInWorker {
  const [state, setState] = useState(NOT_BUILT)
  const shown = useRef<RoomInWorker | null>(null)
  useEffect(() => {
    if (!rooms) return
    const own = new RoomInWorker()
    let isHere = true
    own
      .build(rooms, (done) => isHere && setState((before) => ({ ...before, done })))
      .then(
        (built) => {
          if (!isHere) return
          shown.current?.end()
          shown.current = own
          setState({ worker: own, built, done: 1, failed: false })
        },
        () => isHere && setState({ ...NOT_BUILT, failed: true }),
      )
    return () => {
      isHere = false
      if (shown.current !== own) own.end()
    }
  }, [rooms])
  useEffect(
    () => () => {
      shown.current?.end()
      shown.current = null
    },
    [],
  )
  return rooms ? state : NOT_BUILT
}
