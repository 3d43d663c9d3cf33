'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import type { PreparedLight } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { lrvPercent } from '@/core/paint/lrv'
import { dryFilm } from '@/core/paint/dry-film'
import {
  atStrength,
  mostStrengthPercent,
  strengthForLrv,
  strengthWords,
  whyNoLadder,
} from '@/core/paint/strength'
import type { NamedFinish } from '@/core/ranking/asked-room'
import { baseCastWords, halfTintWords, strengthEffect } from '@/core/undertone/strength-effect'
import { useLight, usePainter } from '../light-bar/light-context'
import { colourIn } from '../swatch/painter'
import { RelitPatch } from '../swatch/relit-patch'
import { TakeKey } from '../record/taking'
import type { ListedAt } from '../deck/listed-decks'

const RUNGS = [25, 50, 75, 100, 125, 150] as const
const LEAST = RUNGS[0]

/** The strength ladder: one band without a break, rungs cut into it, against the keeper that decides. */
export function Strengths({
  colour,
  full,
  weakestPercent,
  atPercent,
  deciding,
  onShow,
}: {
  readonly colour: ListedAt
  readonly full: Reflectance
  /** The house rule. */
  readonly weakestPercent: number
  /** The strength at hand. */
  readonly atPercent: number
  readonly deciding: readonly NamedFinish[]
  readonly onShow: (strengthPercent: number) => void
}) {
  const { prepared } = useLight()
  const { base, whiteBase, code, name } = colour
  const reason = whyNoLadder(base)
  const most = reason ? 100 : mostStrengthPercent(base)
  const rungs = useMemo(
    () => (reason ? [100] : RUNGS.filter((rung) => rung <= most)),
    [reason, most],
  )
  return (
    <section aria-label="Strength" className="flex flex-col gap-2">
      {!reason && <StrengthBand {...{ full, whiteBase, most }} />}
      <ol className={`flex flex-wrap ${reason ? '' : '-mt-2'}`}>
        {rungs.map((percent) => {
          const mixed = atStrength(full, whiteBase, percent)
          const effect = prepared && strengthEffect(prepared, full, mixed)
          const film = dryFilm(full, whiteBase, base, percent)
          return (
            <li key={percent} className="flex min-w-28 flex-1 flex-col">
              <button
                type="button"
                aria-pressed={percent === atPercent}
                aria-label={`${code} ${name} ${strengthWords(percent)}`}
                className="focus-visible:z-10 focus-visible:outline-offset-[-4px]"
                onClick={() => onShow(percent)}
              >
                <RelitPatch reflectance={mixed} className="h-20 w-full" />
              </button>
              <Deciding parts={deciding} />
              <div className="flex flex-1 flex-col gap-1 py-1 pr-2 text-fine">
                <span className={percent === atPercent ? 'font-semibold' : 'font-medium'}>
                  {bothPhrasings(percent)}
                </span>
                {effect && (
                  <>
                    <LeftOfUndertone percent={effect.undertoneLeftPercent} />
                    <span>{effect.words}</span>
                  </>
                )}
                <span className="text-dim">
                  Two coats hide {coverPercent(film)} % of the step from black to white.
                </span>
                {percent < weakestPercent && (
                  <span className="font-medium">
                    Below the house rule of {weakestPercent} %: little more than the base.
                  </span>
                )}
                <TakeKey
                  className="key mt-auto self-start px-2"
                  colour={{ deckColourId: colour.id, name, strengthPercent: percent }}
                />
              </div>
            </li>
          )
        })}
      </ol>
      {reason ? (
        <p className="text-small">
          {reason} {halfTintWords(full, whiteBase, base)}
        </p>
      ) : (
        <>
          <p className="text-small">
            {baseCastWords(whiteBase)} No chip exists between: only a mixed sample shows a strength.
          </p>
          <p className="text-small">The counter slip will say: {counterWords(colour, atPercent)}</p>
          <WantedLrv {...{ colour, full, onShow }} />
        </>
      )}
      {colour.mayBeRefused && (
        <p className="text-small font-medium">
          Its maker says that the counter may refuse to mix it otherwise than it is.
        </p>
      )}
    </section>
  )
}

/** The keeper that decides, touching each rung. */
function Deciding({ parts }: { readonly parts: readonly NamedFinish[] }) {
  if (parts.length === 0) return null
  return (
    <div className="flex h-8">
      {parts.map(({ part, name, shows, reflectance }) => (
        <span key={part} className="h-full" style={{ flexGrow: shows, flexBasis: 0 }}>
          <RelitPatch
            reflectance={reflectance}
            label={`${name}, ${part}`}
            className="h-full w-full"
          />
        </span>
      ))}
    </div>
  )
}

/** Said both ways: "75 % of the formula, 25 % lighter". */
const bothPhrasings = (percent: number): string =>
  percent === 100
    ? '100 %, the formula as it is'
    : percent < 100
      ? `${percent} % of the formula, ${100 - percent} % lighter`
      : `${percent} % of the formula, ${percent - 100} % deeper`

const counterWords = ({ deck, code, name, base }: ListedAt, percent: number): string =>
  `${deck.maker}, ${deck.name}, ${code} ${name}: mix at ${percent} % of formula in the ${base} base.`

const coverPercent = ({ contrastRatio }: { readonly contrastRatio: number }): number =>
  Number((100 * contrastRatio).toFixed(1))

/** What is left of the undertone, as the length of a line. */
function LeftOfUndertone({ percent }: { readonly percent: number | null }) {
  if (percent === null) return null
  return (
    <span
      aria-hidden="true"
      className="block h-1 bg-ink"
      style={{ width: `${Math.min(100, (100 * percent) / 150)}%` }}
    />
  )
}

/** Every column of it computed, from the weakest strength to the most that the base takes. */
function StrengthBand({
  full,
  whiteBase,
  most,
}: {
  readonly full: Reflectance
  readonly whiteBase: Reflectance
  readonly most: number
}) {
  const painter = usePainter()
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const sheet = canvas.current!
    const context = sheet.getContext('2d', { alpha: false })
    if (!context) return
    let light: PreparedLight | null = null
    let columns: Reflectance[] = []
    let waiting = 0
    function draw(): void {
      waiting = 0
      const width = Math.max(1, sheet.clientWidth)
      if (columns.length !== width) {
        sheet.width = width
        sheet.height = 1
        columns = Array.from({ length: width }, (_, x) =>
          atStrength(full, whiteBase, LEAST + ((most - LEAST) * (x + 0.5)) / width),
        )
      }
      columns.forEach((column, x) => {
        context!.fillStyle = colourIn(light, column).hex
        context!.fillRect(x, 0, 1, 1)
      })
    }
    const soon = (): void => {
      waiting ||= requestAnimationFrame(draw)
    }
    const stop = painter.watch((shown) => {
      light = shown
      soon()
    })
    const seen = new ResizeObserver(soon)
    seen.observe(sheet)
    return () => {
      stop()
      seen.disconnect()
      cancelAnimationFrame(waiting)
    }
  }, [painter, full, whiteBase, most])
  return (
    <div>
      <div className="mb-1 flex justify-between text-fine text-dim">
        <span>{LEAST} %</span>
        <span>every strength between, computed</span>
        <span>{most} %</span>
      </div>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Every strength from ${LEAST} to ${most} per cent`}
        className="block h-14 w-full"
        style={{ imageRendering: 'pixelated' }}
      />
    </div>
  )
}

/** The other way round: a wanted lightness, and the strength that comes nearest to it. */
function WantedLrv({
  colour,
  full,
  onShow,
}: {
  readonly colour: ListedAt
  readonly full: Reflectance
  readonly onShow: (strengthPercent: number) => void
}) {
  const [typed, setTyped] = useState('')
  const wanted = Number(typed.replace(',', '.'))
  const asked = typed.trim() !== ''
  const valid = asked && wanted >= 0 && wanted <= 100
  const strength = useMemo(
    () => (valid ? strengthForLrv(full, colour.whiteBase, colour.base, wanted) : null),
    [valid, wanted, full, colour],
  )
  return (
    <div className="flex flex-wrap items-center gap-3 text-small">
      <label className="flex items-center gap-2">
        Wanted LRV
        <input
          className="field w-20"
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {asked && !valid && <span role="alert">Expected 0 to 100, got “{typed}”.</span>}
      {strength !== null && (
        <>
          <span>
            {strengthWords(strength)}: LRV{' '}
            {lrvPercent(atStrength(full, colour.whiteBase, strength)).toFixed(0)}
          </span>
          <button type="button" className="key" onClick={() => onShow(strength)}>
            Show it
          </button>
          <TakeKey
            className="key"
            colour={{ deckColourId: colour.id, name: colour.name, strengthPercent: strength }}
          />
        </>
      )}
    </div>
  )
}
