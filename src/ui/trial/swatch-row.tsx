import { Patch } from '../swatch/patch'
import type { SaidSwatch } from './trial-model'

/** Touching swatches, with what is said of each below. */
export function SwatchRow({
  name,
  swatches,
  tall = false,
}: {
  readonly name: string
  readonly swatches: readonly SaidSwatch[]
  readonly tall?: boolean
}) {
  return (
    <div>
      <h2 className="mb-1 text-body leading-6">{name}</h2>
      <div className="flex">
        {swatches.map(({ label, colour, words }) => (
          <div key={label} className="flex-1">
            <Patch colour={colour} label={label} className={tall ? 'h-40' : 'h-20'} />
            <p className="pt-1 pr-2 text-fine">
              {label}
              {words && <span className="block text-dim">{words}</span>}
            </p>
          </div>
        ))}
      </div>
    </div>
  )
}
