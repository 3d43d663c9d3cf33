'use client'

import dynamic from 'next/dynamic'
import { part } from '../frame/part'
import { useState, type ComponentProps } from 'react'
import type { FinishLook } from '@/core/record/finish-look'
import { arrivingPairs } from '@/core/round/arriving'
import { NOTHING_YET } from '../frame/nothing-yet'
import { BenchView } from './bench-view'

const ArrivingBench = dynamic(
  () => part(() => import('./arriving-bench').then(({ ArrivingBench }) => ArrivingBench)),
  { loading: NOTHING_YET },
)

/** The bench of a room: its candidates past what stays, and what arrives past it. */
export function Bench({
  finishLooks,
  ...props
}: Omit<ComponentProps<typeof BenchView>, 'arriving'> & {
  readonly finishLooks: readonly FinishLook[]
}) {
  const [isArriving, setIsArriving] = useState(false)
  const pairs = arrivingPairs(props.keepers).length
  if (isArriving && pairs > 0)
    return (
      <ArrivingBench
        visitId={props.visitId}
        roomId={props.roomId}
        keepers={props.keepers}
        looks={finishLooks}
        onBack={() => setIsArriving(false)}
      />
    )
  return (
    <BenchView
      {...props}
      arriving={pairs > 0 ? { pairs, open: () => setIsArriving(true) } : null}
    />
  )
}
