'use client'

import { Fold } from '../form/fold'
import Image from 'next/image'
import { useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import type { HouseRules } from '@/core/advice/house-rules'
import type { ReadingSource, Uncertainty } from '@/core/paint/reading'
import type { Exposure } from '@/core/photo/exposure-lock'
import type { Leaning } from '../rose/rose-model'
import { UndertoneRose } from '../rose/undertone-rose'
import { TextKey } from '../form/text-key'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { RelitPhoto } from '../swatch/relit-photo'
import { kindWords } from '@/core/pairing/keeper-kind'
import { useSettings } from '../settings/settings-context'
import { KeeperForm } from './keeper-form'
import type { KeeperValues } from './keeper-values'
import { ReadingWords } from './reading-words'

export interface ListedKeeper {
  readonly values: KeeperValues
  readonly colours: readonly {
    readonly part: string
    readonly sharePercent: number
    readonly readBy: string
    readonly source: ReadingSource
    readonly uncertainty: Uncertainty | undefined
    readonly reflectance: Reflectance
  }[]
}

/** What stays in a room, dearest to change first, in the light of the moment. */
export function KeepersView({
  visitId,
  keepers,
  leanings,
  fresh,
  firstId,
  otherRooms,
  rules,
  exposures,
}: {
  readonly visitId: string
  readonly keepers: readonly ListedKeeper[]
  /** Everything the rose shows: parts of keepers that are judged against, and candidates. */
  readonly leanings: readonly Leaning[]
  /** Values of a keeper not yet entered. */
  readonly fresh: Omit<KeeperValues, 'id'>
  /** The id of the first keeper, where there is none yet. */
  readonly firstId: string
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly rules: HouseRules
  /** Of the photos of the visit, each with the keeper it is of. */
  readonly exposures: readonly (Exposure & { readonly keeperId: string })[]
}) {
  // Where nothing stays yet, that is what comes first.
  const [editing, setEditing] = useState<string | null>(keepers.length === 0 ? firstId : null)
  const [back, setBack] = useState(false)
  const { change, message } = useChange()
  const edited = keepers.find(({ values }) => values.id === editing)?.values
  return (
    <main
      className={`grid min-h-0 flex-1 gap-8 overflow-y-auto p-5 ${
        editing === null
          ? 'lg:grid-cols-[1fr_24rem] xl:grid-cols-[1fr_28rem]'
          : 'lg:grid-cols-[14rem_1fr]'
      }`}
    >
      <section
        aria-label="What stays"
        className={`lg:sticky lg:top-0 lg:max-h-[calc(100dvh-13rem)] lg:self-start lg:overflow-y-auto ${
          editing === null ? '' : 'max-lg:hidden'
        }`}
      >
        <h1 className="text-head">What stays</h1>
        {keepers.length === 0 && (
          <p className="py-6 text-dim">
            Nothing entered yet. Begin with the finish that costs most to change: floor, stone,
            tile.
          </p>
        )}
        <ul className="mt-3 border-t border-ink">
          {keepers.map((keeper) => (
            <KeeperLine
              isShort={editing !== null}
              key={keeper.values.id}
              keeper={keeper}
              otherRooms={otherRooms}
              rules={rules}
              onEdit={() => setEditing(keeper.values.id)}
              onTakeOut={() => {
                if (editing === keeper.values.id) setEditing(null)
                void change(
                  'remove-keeper',
                  { visitId, keeperId: keeper.values.id, removed: true },
                  `${keeper.values.name} was removed; Z brings it back.`,
                )
              }}
            />
          ))}
        </ul>
        {keepers.length > 0 && editing === null && (
          <Fold title="All readings of the visit as a file">
            <p className="flex gap-4 text-small">
              {(['cgats', 'csv', 'gpl'] as const).map((as) => (
                <a
                  key={as}
                  href={`/api/visits/${visitId}/readings?as=${as}`}
                  download
                  className="min-h-11 content-center underline underline-offset-4"
                >
                  {{ cgats: 'CGATS', csv: 'CSV', gpl: 'a GIMP palette' }[as]}
                </a>
              ))}
            </p>
          </Fold>
        )}
        <p role="status" aria-label="What came of it" className="min-h-6 text-small font-semibold">
          {message}
        </p>
      </section>
      <section aria-label="Enter a keeper" className="min-w-0">
        {editing !== null ? (
          <KeeperForm
            key={editing}
            visitId={visitId}
            keeper={edited ?? { ...fresh, id: editing }}
            taken={keepers.flatMap(({ values }) => (values.id === editing ? [] : [values.name]))}
            roomId={fresh.roomId}
            otherRooms={otherRooms}
            rules={rules}
            exposuresBefore={exposures.filter(({ keeperId }) => keeperId !== editing)}
            onKept={(andAnother) => {
              setEditing(andAnother ? newId() : null)
              setBack(!andAnother)
            }}
            onCancel={() => {
              setEditing(null)
              setBack(true)
            }}
          />
        ) : (
          <>
            <button
              type="button"
              className="key key-first mb-6 px-6"
              // The next one is one key away.
              autoFocus={back}
              onClick={() => setEditing(newId())}
            >
              Add what stays
            </button>
            <UndertoneRose things={leanings} />
          </>
        )}
      </section>
    </main>
  )
}

function KeeperLine({
  keeper,
  isShort,
  otherRooms,
  rules,
  onEdit,
  onTakeOut,
}: {
  readonly keeper: ListedKeeper
  /** Beside a form there is room for its name and its colours. */
  readonly isShort: boolean
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly rules: HouseRules
  readonly onEdit: () => void
  readonly onTakeOut: () => void
}) {
  const { words } = useSettings()
  const { values, colours } = keeper
  const leaving = values.state === 'leaving'
  const swatch = (
    <KeeperSwatch colours={colours}>
      {({ part, reflectance }) => (
        <RelitPatch
          reflectance={reflectance}
          label={`${values.name}, ${part}`}
          className="h-full w-full"
        />
      )}
    </KeeperSwatch>
  )
  if (isShort)
    return (
      <li id={values.id} className="flex items-center gap-3 border-b border-rule py-1">
        <div className="h-11 w-14 shrink-0">{swatch}</div>
        <h2 className={`min-w-0 flex-1 text-small ${leaving ? 'line-through' : ''}`}>
          {values.name}
        </h2>
        <TextKey onClick={onEdit} aria-label={`Change ${values.name}`}>
          Change
        </TextKey>
      </li>
    )
  const alsoIn = otherRooms.filter(({ id }) => values.roomIds.includes(id))
  return (
    <li id={values.id} className="flex flex-wrap gap-4 border-b border-rule py-3">
      <div className="w-44 shrink-0 lg:max-xl:w-32">
        <div className="h-24">{swatch}</div>
        {values.patchHash && (
          <figure className="mt-2">
            <div className="h-24">
              <RelitPhoto hash={values.patchHash} label={values.name}>
                {null}
              </RelitPhoto>
            </div>
            <figcaption className="text-fine text-dim">
              The part that stands for it, in this light.
            </figcaption>
          </figure>
        )}
        {values.photoHash && (
          <figure className="mt-2">
            <Image
              unoptimized
              src={`/api/photos/${values.photoHash}`}
              alt={`Photo of ${values.name}`}
              width={176}
              height={96}
              className="h-24 w-full object-cover"
            />
            <figcaption className="text-fine text-dim">
              {values.colours.some(({ evidence }) => evidence?.pictureCorrected)
                ? 'Corrected by its card.'
                : 'As the camera made it, not corrected.'}
            </figcaption>
          </figure>
        )}
      </div>
      <div className="min-w-48 flex-1">
        <h2 className={`text-title leading-6 ${leaving ? 'line-through' : ''}`}>{values.name}</h2>
        <p className="text-small text-dim">
          {values.kind && kindWords(values.kind, words)}
          {values.state !== 'staying' && `, ${values.state}`}
          {leaving ? ': not judged against' : ''}
          {leaving && values.replacedBy && `; instead: ${values.replacedBy}`}
          {values.place && `; ${values.place}`}
          {values.varies && '; varies from piece to piece'}
          {alsoIn.length > 0 && `; also in ${alsoIn.map(({ name }) => name).join(', ')}`}
        </p>
        {values.note && <p className="text-small">{values.note}</p>}
        {colours.map(({ part, sharePercent, ...colour }) => (
          <p key={part} className="text-small">
            {part}, {sharePercent} %: <ReadingWords {...colour} rules={rules} />
          </p>
        ))}
      </div>
      <span className="flex flex-col gap-1 self-start">
        <button type="button" className="key" onClick={onEdit} aria-label={`Change ${values.name}`}>
          Change
        </button>
        <TextKey onClick={onTakeOut} aria-label={`Take ${values.name} out`}>
          Remove
        </TextKey>
      </span>
    </li>
  )
}
