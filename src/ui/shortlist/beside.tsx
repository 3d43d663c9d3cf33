'use client'

import { useMemo, useState } from 'react'
import { WHITE_CARD } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { LEANS, type Against, type LeanWord } from '@/core/record/look'
import { COMPARATORS } from '@/core/undertone/comparators'
import { lrvPercent } from '@/core/paint/lrv'
import { comesOut, leanBeside, oddOneOut, whiteOrGreige } from '@/core/undertone/side-by-side'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { undertoneOf } from '@/core/undertone/undertone'
import { TextKey } from '../form/text-key'
import { useKeys } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { TakeKey } from '../record/taking'
import { RelitPatch } from '../swatch/relit-patch'
import type { BesideColour } from './beside-colour'
import { FindPaint } from './find-paint'

/** What a colour is held against when it is held alone. */
export interface Ground {
  readonly name: string
  readonly reflectance: Reflectance
}

const PAPER: Ground = { name: 'white paper', reflectance: WHITE_CARD }

interface LaidOver {
  readonly name: string
  readonly reflectance: Reflectance
  readonly against: Against
}

const MOST_SIDE_BY_SIDE = 6

/** The next to be held alone against; null after the last. */
function nextOf(grounds: readonly Ground[], now: Ground | null): Ground | null {
  const at = now ? grounds.findIndex(({ name }) => name === now.name) : -1
  return grounds[at + 1] ?? null
}

/**
 * Paint beside paint: the colour at hand and up to five others, edge to edge on white card, and comparators laid over the
 * middle of the first, one after the other. The eye goes first: what the model sees is said after it.
 */
export function Beside({
  main,
  others,
  offered,
  trims,
  onAdd,
  onTakeAway,
  onSee,
}: {
  readonly main: BesideColour
  readonly others: readonly BesideColour[]
  /** What lies near to lay beside it. */
  readonly offered: readonly BesideColour[]
  /** Trim that stays, to hold it against. */
  readonly trims: readonly Ground[]
  readonly onAdd: (paint: BesideColour) => void
  readonly onTakeAway: (id: string) => void
  /** Keeps which lean was seen against a comparator; null where the colour is no candidate yet. */
  readonly onSee: ((against: Against, lean: LeanWord) => Promise<boolean>) | null
}) {
  const { prepared } = useLight()
  // Lifted out, it is alone against that, whatever lies beside it.
  const [alone, setAlone] = useState<Ground | null>(null)
  const shown = alone ? [] : others
  const [over, setOver] = useState<number | null>(null)
  const [seen, setSeen] = useState<{ readonly over: number; readonly lean: LeanWord } | null>(null)
  // Paints that were asked for to be laid over it.
  const [asked, setAsked] = useState<readonly BesideColour[]>([])
  const laid = useMemo(
    () => [
      ...COMPARATORS.map(({ name, reflectance }): LaidOver => ({
        name,
        reflectance,
        against: { kind: 'comparator', name },
      })),
      ...[...others, ...asked.filter(({ id }) => others.every((other) => other.id !== id))].map(
        ({ id, label, reflectance }): LaidOver => ({
          name: label,
          reflectance,
          against: { kind: 'paint', deckColourId: id },
        }),
      ),
    ],
    [others, asked],
  )
  const cover = over === null ? null : (laid[over] ?? null)

  function lay(by: 1 | -1): void {
    setSeen(null)
    // One place more than there are: nothing laid over.
    const count = laid.length + 1
    const next = ((over ?? laid.length) + by + count) % count
    setOver(next === laid.length ? null : next)
  }

  function layOver(paint: BesideColour): void {
    const there = laid.findIndex(
      ({ against }) => against.kind === 'paint' && against.deckColourId === paint.id,
    )
    setSeen(null)
    setOver(there < 0 ? laid.length : there)
    if (there < 0) setAsked([...asked, paint])
  }

  function see(lean: LeanWord): void {
    if (over === null || !cover) return
    setSeen({ over, lean })
    if (onSee) void onSee(cover.against, lean)
  }

  useKeys(
    {
      c: () => lay(1),
      v: () => lay(-1),
      o: () => setAlone(nextOf([PAPER, ...trims], alone)),
      ...Object.fromEntries(LEANS.map((lean, i) => [String(i + 1), () => see(lean)])),
    },
    [
      ['c v', 'lay the next or the last comparator over it'],
      ['o', 'alone on white paper, then on each trim that stays, and back'],
      ['1 to 9', 'which lean you see against it'],
    ],
  )

  const said = prepared && cover && undertoneOf(prepared, cover.reflectance)
  const own = prepared && undertoneOf(prepared, main.reflectance)
  const odd = useMemo(
    () =>
      prepared
        ? oddOneOut([main, ...others].map(({ reflectance }) => undertoneOf(prepared, reflectance)))
        : null,
    [prepared, main, others],
  )
  const depth = whiteOrGreige(undertoneOf(DAYLIGHT, main.reflectance), lrvPercent(main.reflectance))
  const isRoomLeft = others.length + 1 < MOST_SIDE_BY_SIDE
  const isSeen = seen !== null && seen.over === over
  // Red is no word among the keys: to them it is a pink.
  const lean = own && said && leanBeside(own, said)
  const model = lean === 'red' ? 'pink' : lean
  return (
    <section aria-label="Paint beside paint" className="flex flex-col gap-3">
      <div>
        <div className={`relative ${alone ? 'px-[22%] py-8' : 'p-5'}`}>
          <RelitPatch
            reflectance={(alone ?? PAPER).reflectance}
            label={alone ? alone.name : 'white card'}
            className="absolute! inset-0 h-full w-full"
          />
          <div className="relative flex h-52">
            <div className="relative h-full flex-[2]">
              <RelitPatch
                reflectance={main.reflectance}
                label={main.label}
                className="h-full w-full"
              />
              {cover && (
                <div className="absolute inset-x-[28%] inset-y-[22%]">
                  <RelitPatch
                    reflectance={cover.reflectance}
                    label={`${cover.name}, laid over it`}
                    className="h-full w-full"
                  />
                </div>
              )}
            </div>
            {shown.map(({ id, label, reflectance }) => (
              <RelitPatch
                key={id}
                reflectance={reflectance}
                label={label}
                className="h-full flex-1"
              />
            ))}
          </div>
        </div>
        <ul className="flex px-5 pt-1 text-fine">
          <li className="min-w-0 flex-[2] pr-2">
            <span className="font-medium">{main.label}</span>
            <span className="block text-dim">{main.deck}</span>
          </li>
          {shown.map(({ id, label, deck }) => (
            <li key={id} className="min-w-0 flex-1 pr-2">
              {label}
              <span className="block text-dim">{deck}</span>
              <button
                type="button"
                className="block min-h-6 underline underline-offset-4"
                aria-label={`Take ${label} away`}
                onClick={() => onTakeAway(id)}
              >
                Take away
              </button>
              <TakeKey
                short
                className="key px-3"
                colour={{ deckColourId: id, name: label, strengthPercent: 100 }}
              />
            </li>
          ))}
        </ul>
      </div>

      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <button type="button" className="key" onClick={() => lay(1)}>
          {cover ? `Over it: ${cover.name}` : 'Lay a comparator over it'} <kbd>C</kbd>
        </button>
        {cover && <TextKey onClick={() => (setOver(null), setSeen(null))}>Take it off</TextKey>}
        <span role="group" aria-label="Hold it alone against" className="flex">
          {[PAPER, ...trims].map((each) => (
            <button
              key={each.name}
              type="button"
              className="key -ml-px first:ml-0"
              aria-pressed={alone?.name === each.name}
              onClick={() => setAlone(alone?.name === each.name ? null : each)}
            >
              {each === PAPER ? 'Alone on' : 'On'} {each.name}
              {each === PAPER && <kbd>O</kbd>}
            </button>
          ))}
        </span>
        {odd && !alone && (
          <span className="text-small">
            Odd one out: {[main, ...others][odd.place]!.label}, {odd.words}.
          </span>
        )}
        {depth && <span className="text-small">It is {depth}.</span>}
      </div>

      {cover && (
        <div>
          <p className="text-small font-medium">Which lean do you see?</p>
          <div className="flex flex-wrap">
            {LEANS.map((lean, i) => (
              <button
                key={lean}
                type="button"
                className="key -mt-px -ml-px px-2"
                aria-pressed={isSeen && seen.lean === lean}
                onClick={() => see(lean)}
              >
                {lean} <kbd className="text-fine">{i + 1}</kbd>
              </button>
            ))}
          </div>
          {isSeen && own && said && (
            <p className="mt-1 text-small">
              Beside {cover.name} it comes out {comesOut(own, said)}:{' '}
              {model ? `the model sees ${model}` : 'the model sees no lean'}
              {seen.lean === (model ?? 'no lean') ? ', as you do.' : `, you see ${seen.lean}.`}
              {onSee
                ? ' Saved as a look on the screen.'
                : ' Take it up, and what you see is saved.'}
            </p>
          )}
        </div>
      )}

      <div className="flex flex-wrap gap-x-8 gap-y-2">
        {isRoomLeft && offered.length > 0 && (
          <div className="min-w-72 flex-1">
            <h3 className="mb-1 text-small font-medium">Lay beside it</h3>
            <ul className="flex flex-wrap gap-x-3 gap-y-1">
              {offered.map((paint) => (
                <li key={paint.id}>
                  <button
                    type="button"
                    className="flex min-h-11 items-center gap-2 text-left text-fine hover:underline"
                    aria-label={`Lay ${paint.label} beside it`}
                    onClick={() => onAdd(paint)}
                  >
                    <RelitPatch reflectance={paint.reflectance} className="h-11 w-14 shrink-0" />
                    <span className="max-w-28">{paint.label}</span>
                  </button>
                </li>
              ))}
            </ul>
          </div>
        )}
        <FindPaint onBeside={isRoomLeft ? onAdd : null} onOver={layOver} />
      </div>
    </section>
  )
}
