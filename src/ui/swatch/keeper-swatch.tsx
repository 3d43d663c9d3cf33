import type { ReactNode } from 'react'

interface SharedColour {
  readonly part: string
  readonly sharePercent: number
}

/** A keeper as its colours by share, touching: side by side, or one under the other. */
export function KeeperSwatch<C extends SharedColour>({
  colours,
  stacked = false,
  children,
}: {
  readonly colours: readonly C[]
  readonly stacked?: boolean
  /** The patch of one of its colours. */
  readonly children: (colour: C) => ReactNode
}) {
  return (
    <span className={`flex h-full w-full ${stacked ? 'flex-col' : ''}`}>
      {colours.map((colour) => (
        <span
          key={colour.part}
          className={stacked ? 'w-full' : 'h-full'}
          style={{ flexGrow: colour.sharePercent, flexBasis: 0 }}
        >
          {children(colour)}
        </span>
      ))}
    </span>
  )
}
