import type { ProposedSurface } from './around-model'
import { Fold } from '../form/fold'
import { useTradeWords } from '../settings/settings-context'

/** How much paint each surface of the room takes, from its size and what is to be hidden. */
export function HowMuch({ proposed }: { readonly proposed: readonly ProposedSurface[] }) {
  const inWords = useTradeWords()
  return (
    <Fold title="How much paint">
      <ul>
        {proposed.map(
          ({
            surface,
            paint,
            sheen,
            product,
            area,
            litres,
            tins,
            coats,
            said,
            undercoat,
            price,
          }) => (
            <li key={surface} className="border-b border-rule py-1 text-small">
              <p>
                <span className="font-medium">{inWords(surface)}</span>: {paint.code}, {paint.name}{' '}
                at {paint.strengthPercent} %, {sheen} {product}
              </p>
              <p className="tabular-nums">
                {area
                  ? `${area}, ${coats} coats: ${litres}, ${tins}${price ? `, ${price}` : ''}`
                  : `${coats} coats; say below how large it is`}
              </p>
              <p className="text-fine text-dim">
                {said}
                {undercoat && ` ${undercoat}.`}
              </p>
            </li>
          ),
        )}
      </ul>
    </Fold>
  )
}
