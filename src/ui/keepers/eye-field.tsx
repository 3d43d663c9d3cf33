'use client'

import { useMemo, useState } from 'react'
import type { Lab } from '@/core/colour/lab'
import {
  EYE_FIELD_UNCERTAINTY,
  firstField,
  nudged,
  NUDGES,
  secondField,
  STUFF_WORDS,
  STUFFS_OF,
  type ColourField,
  type Stuff,
} from '@/core/paint/eye-field'
import type { KeeperKind } from '@/core/pairing/keeper-kind'
import { isOfASurface, reflectanceOfReading } from '@/core/paint/reading'
import { uncertaintyWords } from '@/core/paint/reading-evidence'
import { seenWords } from '@/core/undertone/drawn'
import { TextKey } from '../form/text-key'
import { useRoving } from '../form/use-roving'
import { PainterContext, useLight, usePainter } from '../light-bar/light-context'
import { DAYLIGHT } from '../photo/found-colours'
import { Painter } from '../swatch/painter'
import { RelitPatch } from '../swatch/relit-patch'

const BY_DAYLIGHT = new Painter(DAYLIGHT)

/**
 * A colour matched by eye, the screen held beside the real thing: one tap in the field of what it is made of, one in the
 * finer field around it, then a touch this way or that.
 */
export function EyeField({
  name,
  kind,
  matched,
  error,
  onMatch,
}: {
  /** Of its part of the form. */
  readonly name: string
  readonly kind: KeeperKind
  /** L*a*b* as it stands; null until something was tapped. */
  readonly matched: Lab | null
  readonly error: string | undefined
  readonly onMatch: (lab: Lab | null, stuff: Stuff) => void
}) {
  const { prepared } = useLight()
  const painter = usePainter()
  const [stuff, setStuff] = useState<Stuff>(STUFFS_OF[kind][0])
  // What was tapped in the first field, until one of the finer ones is.
  const [tapped, setTapped] = useState<Lab | null>(null)
  const uncertainty = EYE_FIELD_UNCERTAINTY[stuff]
  const whole = useMemo(() => firstField(stuff), [stuff])
  const finer = useMemo(() => tapped && secondField(stuff, tapped), [stuff, tapped])

  function begin(of: Stuff): void {
    setStuff(of)
    setTapped(null)
    onMatch(null, of)
  }

  return (
    <fieldset
      name={name}
      tabIndex={-1}
      aria-label="Match it by eye"
      className="flex flex-col gap-2"
    >
      {!prepared && (
        <p className="text-small">The bar shows no light to see by: shown as by daylight.</p>
      )}
      <PainterContext value={prepared ? painter : BY_DAYLIGHT}>
        {tapped || matched ? (
          <>
            <div className="flex items-center gap-4 text-small">
              <p className="flex-1">
                {tapped ? 'And of these?' : 'Beside the real thing it should be a touch'}
              </p>
              <TextKey onClick={() => begin(stuff)}>Begin again</TextKey>
            </div>
            {finer ? (
              <Squares
                key="second"
                field={finer}
                onTap={(lab) => {
                  setTapped(null)
                  onMatch(lab, stuff)
                }}
              />
            ) : (
              <div className="flex flex-wrap gap-2">
                {NUDGES.map((nudge, i) => (
                  <button
                    key={nudge}
                    type="button"
                    className="key"
                    autoFocus={i === 0}
                    disabled={!isOfASurface(nudged(matched!, nudge))}
                    onClick={() => onMatch(nudged(matched!, nudge), stuff)}
                  >
                    {nudge}
                  </button>
                ))}
              </div>
            )}
            {matched && !tapped && (
              <RelitPatch
                reflectance={reflectanceOfReading({ kind: 'lab', lab: matched })}
                label="Matched by eye"
                className="h-28"
              />
            )}
          </>
        ) : (
          <>
            <div className="flex flex-wrap items-center gap-2 text-small">
              <p className="flex-1">Hold it beside the real thing: which comes nearest?</p>
              {STUFFS_OF[kind].length > 1 &&
                STUFFS_OF[kind].map((each) => (
                  <button
                    key={each}
                    type="button"
                    className="key"
                    aria-pressed={each === stuff}
                    onClick={() => begin(each)}
                  >
                    {STUFF_WORDS[each]}
                  </button>
                ))}
            </div>
            <Squares key={stuff} field={whole} onTap={setTapped} />
          </>
        )}
      </PainterContext>
      <p role="status" className="text-fine">
        {error ? (
          <b>{error}</b>
        ) : (
          <span className="text-dim">By eye it is {uncertaintyWords(uncertainty)}.</span>
        )}
      </p>
    </fieldset>
  )
}

/** Rows of squares, edge to edge, in the light of the page. */
function Squares({
  field,
  onTap,
}: {
  readonly field: ColourField
  readonly onTap: (lab: Lab) => void
}) {
  const columns = field[0]!.length
  // Keys begin in the middle: it is nowhere far from there.
  const middle = Math.floor(field.length / 2) * columns + Math.floor(columns / 2)
  const { cell, onKeyDown } = useRoving(columns, middle)
  const squares = useMemo(
    () =>
      field.flat().map((lab) => {
        if (!isOfASurface(lab)) return null
        const reflectance = reflectanceOfReading({ kind: 'lab', lab })
        return { lab, reflectance, words: seenWords(DAYLIGHT, reflectance).drawn }
      }),
    [field],
  )
  return (
    <div
      onKeyDown={onKeyDown}
      className="grid auto-rows-[minmax(2.75rem,1fr)]"
      style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
    >
      {squares.map((square, i) =>
        square ? (
          <button
            key={i}
            type="button"
            {...cell(i)}
            autoFocus={i === middle}
            aria-label={square.words}
            className="min-h-11 focus-visible:z-10"
            onClick={() => onTap(square.lab)}
          >
            <RelitPatch reflectance={square.reflectance} className="block h-full min-h-11 w-full" />
          </button>
        ) : (
          <span key={i} />
        ),
      )}
    </div>
  )
}
