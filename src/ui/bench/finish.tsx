'use client'

import dynamic from 'next/dynamic'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { RelitPhoto } from '../swatch/relit-photo'
import { useSurfaceWords } from '../swatch/use-relit'
import { NOTHING_YET } from '../frame/nothing-yet'
import { part } from '../frame/part'
import type { BenchKeeper } from './bench-model'

const Mottled = dynamic(() => part(() => import('./mottled').then(({ Mottled }) => Mottled)), {
  loading: NOTHING_YET,
})

/**
 * A finish as it is held up: its own photograph relit where there is one, else its colours by share, of a stone as flecks in
 * its ground; of one part that part alone.
 */
export function Finish({
  keeper,
  part = null,
}: {
  readonly keeper: BenchKeeper
  readonly part?: string | null
}) {
  const { name, colours, patchHash } = keeper
  const [one] = part === null ? colours : colours.filter((each) => each.part === part)
  if (one && (part !== null || (colours.length === 1 && patchHash === null)))
    return <OneColour name={`${name}, ${one.part}`} reflectance={one.reflectance} />
  const byShare = keeper.isMottled ? (
    <Mottled keeper={keeper} />
  ) : (
    <KeeperSwatch colours={colours} stacked>
      {(colour) => <OneColour name={`${name}, ${colour.part}`} reflectance={colour.reflectance} />}
    </KeeperSwatch>
  )
  return patchHash === null ? (
    byShare
  ) : (
    <RelitPhoto hash={patchHash} label={name}>
      {byShare}
    </RelitPhoto>
  )
}

function OneColour({
  name,
  reflectance,
}: {
  readonly name: string
  readonly reflectance: BenchKeeper['colours'][number]['reflectance']
}) {
  const words = useSurfaceWords(reflectance)
  return (
    <RelitPatch reflectance={reflectance} label={`${name}: ${words}`} className="h-full w-full" />
  )
}
