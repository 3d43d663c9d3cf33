'use client'

import { REASON_WORDS } from '@/core/record/verdict'
import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import type { Reflectance } from '@/core/colour/spectrum'
import { lrvPercent } from '@/core/paint/lrv'
import { capital } from '@/core/words'
import { TextKey } from '../form/text-key'
import { eyeWords } from '@/core/record/eye-said'
import type { Surface } from '@/core/record/proposal'
import { useTradeWords } from '../settings/settings-context'
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
  /** The best for it, and what else could be. */
  readonly options: readonly ShownOption[]
  readonly wall: Reflectance
  /** Trim that stays as it is: it is an answer too. */
  readonly stays: readonly AroundKeeper[]
  readonly tried: ShownOption | null
  readonly busy: boolean
  readonly onTry: (option: ShownOption) => void
  readonly onPropose: (option: ShownOption) => void
}) {
  const inWords = useTradeWords()
  const head = inWords(HEADS[surface] ?? surface)
  const atOnce = bestOf(surface, options, lrvPercent(wall))
  const others = options.filter((option) => !atOnce.includes(option))
  return (
    <section aria-label={head} className="min-w-0">
      <h2 className="text-body leading-7">{head}</h2>
      <ul className="border-t border-ink">
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
        {atOnce.map((option) => (
          <Option
            key={option.name}
            {...{ option, head, wall, busy, onTry, onPropose }}
            isTried={tried?.name === option.name}
          />
        ))}
      </ul>
      {others.length > 0 && (
        <details>
          <summary className="min-h-9 content-center text-fine">
            {others.length === 1 ? 'One other' : `${others.length} others`}
          </summary>
          <ul>
            {others.map((option) => (
              <Option
                key={option.name}
                {...{ option, head, wall, busy, onTry, onPropose }}
                isTried={tried?.name === option.name}
              />
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}

/** One answer: pressed, it stands in the picture, and says why. */
function Option({
  option,
  head,
  wall,
  isTried,
  busy,
  onTry,
  onPropose,
}: {
  readonly option: ShownOption
  readonly head: string
  readonly wall: Reflectance
  readonly isTried: boolean
  readonly busy: boolean
  readonly onTry: (option: ShownOption) => void
  readonly onPropose: (option: ShownOption) => void
}) {
  const inWords = useTradeWords()
  const { surface } = option
  return (
    <li className="flex gap-3 border-b border-rule py-1">
      <button
        type="button"
        aria-pressed={isTried}
        aria-label={`Show ${option.called} as ${head.toLowerCase()}`}
        className="flex h-12 w-20 shrink-0 outline-offset-2 aria-pressed:outline-2 aria-pressed:outline-ink"
        onClick={() => onTry(option)}
      >
        <RelitPatch reflectance={wall} className="h-full flex-[2]" />
        <RelitPatch reflectance={option.reflectance} className="h-full flex-1" />
      </button>
      <div className="min-w-0 flex-1 text-fine">
        <p className="flex items-center gap-1 text-small">
          <JudgementMark judgement={option.judgement} />
          <span className="font-medium">
            {option.called}
            {option.strengthPercent !== 100 && ` at ${option.strengthPercent} %`}
          </span>
        </p>
        <p>
          {capital(JUDGEMENT_WORDS[option.judgement])}: {inWords(option.name)}, {option.sheen}
        </p>
        {option.eye.map(({ name, said }) => (
          <p key={name} className="font-medium">
            beside {name}: {eyeWords(said)}
          </p>
        ))}
        <div hidden={!isTried} className="text-dim">
          <p>{capital(option.words)}.</p>
          {surface === 'door outside' && <DoorInDaylight reflectance={option.reflectance} />}
          {option.weakest && (
            <p>
              Beside {option.weakest.name}: {JUDGEMENT_WORDS[option.weakest.reading.judgement]},{' '}
              {REASON_WORDS[option.weakest.reading.reason]}.
            </p>
          )}
          <p>{option.sheenWhy}</p>
        </div>
      </div>
      <TextKey
        aria-disabled={busy}
        aria-label={`Propose ${option.called} for ${head.toLowerCase()}`}
        className="self-start"
        onClick={() => onPropose(option)}
      >
        Propose
      </TextKey>
    </li>
  )
}

/** What is shown at once: the best; of trim the best that is lighter than the wall, and the best that is deeper. */
function bestOf(
  surface: Surface,
  options: readonly ShownOption[],
  wallLrv: number,
): readonly ShownOption[] {
  if (surface !== 'trim') return options.slice(0, 1)
  const isLighter = ({ reflectance }: ShownOption): boolean => lrvPercent(reflectance) >= wallLrv
  const [light, deep] = [options.find(isLighter), options.find((each) => !isLighter(each))]
  return options.filter((each) => each === light || each === deep)
}
