'use client'

import { REASON_WORDS } from '@/core/record/verdict'
import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import type { Reflectance } from '@/core/colour/spectrum'
import { eyeWords } from '@/core/record/eye-said'
import type { Surface } from '@/core/record/proposal'
import { JudgementMark } from '../verdict/verdict-mark'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { DoorInDaylight } from './door-in-daylight'
import type { AroundKeeper, ShownOption } from './around-model'

const HEADS: Readonly<Partial<Record<Surface, string>>> = {
  trim: 'Trim',
  ceiling: 'Ceiling',
  'lower half': 'Half wall',
  'one wall': 'This wall by itself',
  'door inside': 'Doors, inside',
  'door outside': 'A door’s outside face',
  cabinets: 'Cabinets',
  island: 'Island',
}

/** What could go on a surface beside this wall: each tried on the picture at a press, proposed at another. */
export function OptionList({
  surface,
  options,
  wall,
  stays,
  tried,
  busy,
  onTry,
  onPropose,
}: {
  readonly surface: Surface
  readonly options: readonly ShownOption[]
  readonly wall: Reflectance
  /** Trim that stays as it is: it is an answer too. */
  readonly stays: readonly AroundKeeper[]
  readonly tried: ShownOption | null
  readonly busy: boolean
  readonly onTry: (option: ShownOption) => void
  readonly onPropose: (option: ShownOption) => void
}) {
  const head = HEADS[surface] ?? surface
  return (
    <section aria-label={head} className="min-w-0 flex-1">
      <h2 className="text-body leading-7">{head}</h2>
      <p className="border-b border-ink pb-1 text-fine text-dim">{options[0]?.sheenWhy}</p>
      <ul>
        {stays.map((keeper) => (
          <li key={keeper.id} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="flex h-12 w-20 shrink-0">
              <RelitPatch reflectance={wall} className="h-full flex-[2]" />
              <span className="h-full flex-1">
                <KeeperSwatch colours={keeper.colours} stacked>
                  {({ reflectance }) => (
                    <RelitPatch reflectance={reflectance} className="h-full w-full" />
                  )}
                </KeeperSwatch>
              </span>
            </span>
            <p className="text-fine">
              <span className="text-small font-medium">{keeper.name}</span>: it stays as it is
            </p>
          </li>
        ))}
        {options.map((option) => (
          <li key={option.name} className="flex gap-3 border-b border-rule py-1">
            <button
              type="button"
              aria-pressed={tried?.name === option.name}
              aria-label={`Show ${option.called} as ${head.toLowerCase()}`}
              className="flex h-12 w-20 shrink-0 outline-offset-2 aria-pressed:outline-2 aria-pressed:outline-ink"
              onClick={() => onTry(option)}
            >
              <RelitPatch reflectance={wall} className="h-full flex-[2]" />
              <RelitPatch reflectance={option.reflectance} className="h-full flex-1" />
            </button>
            <div className="min-w-0 flex-1 text-fine">
              <p className="flex items-start gap-1">
                <JudgementMark judgement={option.judgement} />
                <span>
                  <span className="text-small font-medium">{option.called}</span>
                  {option.strengthPercent !== 100 && ` at ${option.strengthPercent} %`},{' '}
                  {option.sheen}: {option.name}
                </span>
              </p>
              <p className="text-dim">{option.words}</p>
              {surface === 'door outside' && <DoorInDaylight reflectance={option.reflectance} />}
              {option.eye.map(({ name, said }) => (
                <p key={name} className="font-medium">
                  beside {name}: {eyeWords(said)}
                </p>
              ))}
              {option.weakest && (
                <p className="text-dim">
                  beside {option.weakest.name}: {JUDGEMENT_WORDS[option.weakest.reading.judgement]},{' '}
                  {REASON_WORDS[option.weakest.reading.reason]}
                </p>
              )}
              <button
                type="button"
                aria-disabled={busy}
                aria-label={`Propose ${option.called} for ${head.toLowerCase()}`}
                className="min-h-11 text-small underline underline-offset-4"
                onClick={() => onPropose(option)}
              >
                Propose it
              </button>
            </div>
          </li>
        ))}
      </ul>
    </section>
  )
}
