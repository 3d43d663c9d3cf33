'use client'

import { useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { lrvPercent } from '@/core/paint/reading'
import type { FormAction } from '../form/action-result'
import { RelitPatch } from '../swatch/relit-patch'
import { useSurfaceWords } from '../swatch/use-relit'
import { KeeperForm, type KeeperValues } from './keeper-form'

export interface ListedKeeper {
  readonly values: KeeperValues
  readonly colours: readonly {
    readonly part: string
    readonly sharePercent: number
    readonly readBy: string
    readonly reflectance: Reflectance
  }[]
}

/** What stays in a room, dearest to change first, in the light of the moment. */
export function KeepersView({
  keepers,
  fresh,
  action,
}: {
  readonly keepers: readonly ListedKeeper[]
  /** Values of a keeper not yet entered. */
  readonly fresh: KeeperValues
  readonly action: FormAction
}) {
  const [editing, setEditing] = useState<string | null>(null)
  const edited = keepers.find(({ values }) => values.id === editing)?.values
  const open = editing !== null
  return (
    <main className="grid min-h-0 flex-1 gap-8 overflow-y-auto p-5 lg:grid-cols-[1fr_24rem]">
      <section aria-label="What stays">
        <h1 className="text-head">What stays</h1>
        {keepers.length === 0 && (
          <p className="py-6 text-dim">
            Nothing entered yet. Begin with the finish that is dearest to change: floor, stone,
            tile.
          </p>
        )}
        <ul className="mt-3 border-t border-ink">
          {keepers.map((keeper) => (
            <KeeperLine
              key={keeper.values.id}
              keeper={keeper}
              onEdit={() => setEditing(keeper.values.id)}
            />
          ))}
        </ul>
      </section>
      <section aria-label="Enter a keeper">
        {open ? (
          <KeeperForm
            key={edited?.id ?? fresh.id}
            keeper={edited ?? fresh}
            action={action}
            onDone={() => setEditing(null)}
          />
        ) : (
          <button type="button" className="key key-first px-6" onClick={() => setEditing('')}>
            Add what stays
          </button>
        )}
      </section>
    </main>
  )
}

function KeeperLine({
  keeper,
  onEdit,
}: {
  readonly keeper: ListedKeeper
  readonly onEdit: () => void
}) {
  const { values, colours } = keeper
  const leaving = values.state === 'leaving'
  return (
    <li className="flex flex-wrap gap-4 border-b border-rule py-3">
      <div className="flex h-24 w-44 shrink-0">
        {colours.map(({ part, sharePercent, reflectance }) => (
          <span key={part} className="h-full" style={{ flexGrow: sharePercent, flexBasis: 0 }}>
            <RelitPatch
              reflectance={reflectance}
              label={`${values.name}, ${part}`}
              className="h-full w-full"
            />
          </span>
        ))}
      </div>
      <div className="min-w-48 flex-1">
        <h2 className={`text-title leading-6 ${leaving ? 'line-through' : ''}`}>{values.name}</h2>
        <p className="text-small text-dim">
          {values.kind}, {values.state}
          {leaving ? ': not judged against' : ''}
        </p>
        {colours.map((colour) => (
          <ColourWords key={colour.part} colour={colour} />
        ))}
      </div>
      <button
        type="button"
        className="key self-center"
        onClick={onEdit}
        aria-label={`Change ${values.name}`}
      >
        Change
      </button>
    </li>
  )
}

function ColourWords({ colour }: { readonly colour: ListedKeeper['colours'][number] }) {
  const words = useSurfaceWords(colour.reflectance)
  return (
    <p className="text-small">
      {colour.part}, {colour.sharePercent} %: {words}, LRV{' '}
      {Math.round(lrvPercent(colour.reflectance))}{' '}
      <span className="text-dim">({colour.readBy})</span>
    </p>
  )
}
