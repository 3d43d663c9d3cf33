import dynamic from 'next/dynamic'
import { NOTHING_YET } from '../frame/nothing-yet'
import { part } from '../frame/part'

// What the bench shows when it is asked for, fetched then.
export const ClientView = dynamic(
  () => part(() => import('./client-view').then(({ ClientView }) => ClientView)),
  {
    loading: NOTHING_YET,
  },
)
export const OnFourWalls = dynamic(
  () => part(() => import('./on-four-walls').then(({ OnFourWalls }) => OnFourWalls)),
  { loading: NOTHING_YET },
)
export const WhatNext = dynamic(
  () => part(() => import('./what-next').then(({ WhatNext }) => WhatNext)),
  {
    loading: NOTHING_YET,
  },
)
