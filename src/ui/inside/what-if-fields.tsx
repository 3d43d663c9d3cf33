'use client'

import { BULBS, CURTAINS, kindsOf, LAMP_PLACES } from '@/core/light/fittings'
import type { OtherLamps, WhatIf } from '@/core/room/what-if'
import { Choice } from '../form/choice'
import { useTradeWords } from '../settings/settings-context'

const AS_IT_IS = ''
const KELVINS = [2200, 2700, 3000, 4000, 5000] as const
const LUMENS = [200, 400, 800, 1600, 3000] as const
const COUNTS = [1, 2, 3, 4, 6] as const
const FIRST_LAMPS: OtherLamps = {
  ...{ bulb: 'led-90', cctK: 2700, lumens: 800, place: 'table', count: 2 },
}

const numbers = (values: readonly number[], unit: string) =>
  values.map((value) => [String(value), `${value.toLocaleString('en')}${unit}`] as const)

/** What a room might have instead: lamps, curtains, the colours of its ceiling, floor and cabinets. */
export function WhatIfFields({
  value,
  colours,
  onChange,
}: {
  readonly value: WhatIf
  /** Colours that are at hand, by name. */
  readonly colours: readonly (readonly [name: string, words: string])[]
  readonly onChange: (value: WhatIf) => void
}) {
  const inWords = useTradeWords()
  const { lamps } = value
  const set = (change: Partial<WhatIf>) => onChange({ ...value, ...change })
  const setLamps = (change: Partial<OtherLamps>) =>
    set({ lamps: { ...(lamps ?? FIRST_LAMPS), ...change } })
  const colour = (part: 'ceiling' | 'floor' | 'cabinets', label: string) => (
    <Choice
      label={label}
      value={value[part] ?? AS_IT_IS}
      options={[[AS_IT_IS, 'as it is'], ...colours]}
      onChange={(name) => set({ [part]: name || null })}
    />
  )
  return (
    <div className="grid grid-cols-3 gap-x-4 max-lg:grid-cols-2 max-sm:grid-cols-1">
      <Choice
        label="Lamps"
        value={lamps ? String(lamps.count) : AS_IT_IS}
        options={[
          [AS_IT_IS, 'as they are'],
          ...COUNTS.map((count) => [String(count), `${count} of one kind`] as const),
        ]}
        onChange={(count) => (count ? setLamps({ count: Number(count) }) : set({ lamps: null }))}
      />
      {lamps && (
        <>
          <Choice
            label="Of"
            value={String(lamps.cctK)}
            options={numbers(KELVINS, ' K')}
            onChange={(cctK) => setLamps({ cctK: Number(cctK) })}
          />
          <Choice
            label="Each"
            value={String(lamps.lumens)}
            options={numbers(LUMENS, ' lumens')}
            onChange={(lumens) => setLamps({ lumens: Number(lumens) })}
          />
          <Choice
            label="Bulb"
            value={lamps.bulb}
            options={kindsOf(BULBS).map((bulb) => [bulb, BULBS[bulb].words] as const)}
            onChange={(bulb) => setLamps({ bulb: bulb as OtherLamps['bulb'] })}
          />
          <Choice
            label="As"
            value={lamps.place}
            options={kindsOf(LAMP_PLACES).map(
              (place) => [place, LAMP_PLACES[place].words] as const,
            )}
            onChange={(place) => setLamps({ place: place as OtherLamps['place'] })}
          />
        </>
      )}
      <Choice
        label="At the windows"
        value={value.curtain ?? AS_IT_IS}
        options={[
          [AS_IT_IS, 'as they are'],
          ...kindsOf(CURTAINS).map((curtain) => [curtain, CURTAINS[curtain].words] as const),
        ]}
        onChange={(curtain) => set({ curtain: (curtain || null) as WhatIf['curtain'] })}
      />
      {colour('ceiling', 'Ceiling')}
      {colour('floor', 'Floor, painted')}
      {colour('cabinets', inWords('Cabinets, painted'))}
    </div>
  )
}
