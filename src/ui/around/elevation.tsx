import type { Reflectance } from '@/core/colour/spectrum'
import type { Elevation, ElevationRect } from '@/core/quantity/elevation'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import type { AroundKeeper } from './around-model'

const percent = (share: number): string => `${(100 * share).toFixed(3)}%`

/** A wall to scale, every painted surface and all that stands at it in the light that falls on it; glass is left as paper. */
export function ElevationPicture({
  elevation,
  colourOf,
  keepers,
  label,
}: {
  readonly elevation: Elevation
  /** The colour of a painted part; null for one that nothing is known of, which stays paper. */
  readonly colourOf: (part: ElevationRect['part']) => Reflectance | null
  readonly keepers: readonly AroundKeeper[]
  readonly label: string
}) {
  const { widthMm, heightMm, rects } = elevation
  return (
    <div
      role="img"
      aria-label={label}
      className="relative w-full overflow-hidden bg-paper"
      style={{
        aspectRatio: `${widthMm} / ${heightMm}`,
        maxHeight: '21rem',
        maxWidth: `${(21 * widthMm) / heightMm}rem`,
      }}
    >
      {rects.map((rect, at) => (
        <div
          key={at}
          className="absolute"
          style={{
            left: percent(rect.xMm / widthMm),
            top: percent(rect.yMm / heightMm),
            width: percent(rect.widthMm / widthMm),
            height: percent(rect.heightMm / heightMm),
          }}
        >
          <Surface {...{ rect, colourOf, keepers }} />
        </div>
      ))}
    </div>
  )
}

function Surface({
  rect,
  colourOf,
  keepers,
}: {
  readonly rect: ElevationRect
  readonly colourOf: (part: ElevationRect['part']) => Reflectance | null
  readonly keepers: readonly AroundKeeper[]
}) {
  if (rect.part === 'window') return <div className="h-full w-full bg-paper" />
  if (rect.keeperId !== null) {
    const keeper = keepers.find(({ id }) => id === rect.keeperId)
    return keeper ? (
      <KeeperSwatch colours={keeper.colours}>
        {({ reflectance }) => <RelitPatch reflectance={reflectance} className="h-full w-full" />}
      </KeeperSwatch>
    ) : null
  }
  const reflectance = colourOf(rect.part)
  return reflectance ? (
    <RelitPatch reflectance={reflectance} className="h-full w-full" />
  ) : (
    <div className="h-full w-full bg-paper" />
  )
}
