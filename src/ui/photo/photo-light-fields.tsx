import { BULBS, kindsOf, type Bulb } from '@/core/light/fittings'
import { CARD_KINDS, CARDS, type CardKind } from '@/core/photo/card'
import { Choice } from '../form/choice'
import { TAKEN_IN_WORDS, type TakenIn } from './taken-in'

/** What lies in a photo to read it by, and the light it was taken in. */
export function PhotoLightFields({
  card,
  taken,
  onCard,
  onTaken,
}: {
  readonly card: CardKind
  readonly taken: TakenIn
  readonly onCard: (card: CardKind) => void
  readonly onTaken: (taken: TakenIn) => void
}) {
  return (
    <>
      <Choice
        label="Beside it lies"
        value={card}
        options={CARD_KINDS.map((kind) => [kind, CARDS[kind].words])}
        onChange={(value) => onCard(value as CardKind)}
      />
      <Choice
        label="Taken in"
        value={taken.by}
        options={TAKEN_IN_WORDS}
        onChange={(value) => onTaken({ ...taken, by: value as TakenIn['by'] })}
      />
      {taken.by === 'lamp' && (
        <div className="flex gap-2">
          <Choice
            label="Bulb"
            value={taken.bulb}
            options={kindsOf(BULBS).map((bulb) => [bulb, BULBS[bulb].words])}
            onChange={(value) => onTaken({ ...taken, bulb: value as Bulb })}
          />
          <label className="flex min-h-11 items-center gap-2 text-small">
            Kelvin
            <input
              className="field w-20"
              inputMode="numeric"
              value={taken.kelvin}
              onChange={(event) => onTaken({ ...taken, kelvin: event.target.value })}
            />
          </label>
        </div>
      )}
    </>
  )
}
