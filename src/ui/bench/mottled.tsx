'use client'

import { useMemo } from 'react'
import { believableSurface } from '@/core/photo/believable-surface'
import { seedOfId } from '@/core/seeded-random'
import { RelitPicture } from '../swatch/relit-picture'
import type { BenchKeeper } from './bench-model'

/** A stone as flecks in its ground, by their shares, where no photo shows it. */
export function Mottled({
  keeper: { id, name, colours },
}: {
  readonly keeper: Pick<BenchKeeper, 'id' | 'name' | 'colours'>
}) {
  const relit = useMemo(() => believableSurface(colours, seedOfId(id)), [colours, id])
  const shares = colours.map(({ part, sharePercent }) => `${part} ${sharePercent} %`).join(', ')
  return <RelitPicture relit={relit} label={`${name}, its colours by share: ${shares}`} />
}
