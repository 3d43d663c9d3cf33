'use client'

import { WALL_NAMES } from '@/core/light/walls'
import type { ViewShare } from '@/core/pairing/keeper-kind'
import { TEXTURES } from '@/core/pairing/role'
import { Field, Select } from '../form/field'
import type { KeeperValues } from './keeper-values'

const DEARNESS = [
  ['', 'as its kind'],
  ['5', 'never'],
  ['4', 'very costly'],
  ['3', 'costly'],
  ['2', 'some cost'],
  ['1', 'easily'],
] as const

const VIEW_SHARE_WORDS: readonly (readonly [ViewShare, string])[] = [
  ['little', 'little of the view'],
  ['some', 'some of it'],
  ['much', 'much of it'],
]

/** Everything that has a default: what of it is in view, how dear it is, where, in which other rooms. */
export function KeeperDetails({
  keeper,
  otherRooms,
  errors,
  varies,
  onVaries,
}: {
  readonly keeper: KeeperValues
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly errors: Readonly<Record<string, string>>
  readonly varies: boolean
  readonly onVaries: (varies: boolean) => void
}) {
  return (
    <details>
      <summary className="min-h-11 content-center text-small underline underline-offset-4">
        How much of it, cost, texture, place
      </summary>
      <div className="grid grid-cols-2 gap-4">
        <Select
          label="Takes up"
          name="viewShare"
          defaultValue={keeper.viewShare}
          options={VIEW_SHARE_WORDS}
        />
        <Select
          label="Changed"
          name="dearness"
          defaultValue={keeper.dearness ?? ''}
          options={DEARNESS}
        />
        <Select
          label="Texture"
          name="texture"
          defaultValue={keeper.texture ?? ''}
          options={[['', 'as its kind'], ...TEXTURES.map((each) => [each, each] as const)]}
          hint="A weave, a pile, a hewn face keep close tones apart."
        />
        <fieldset>
          <legend className="text-small font-medium">Touches the wall to the</legend>
          {WALL_NAMES.map((wall) => (
            <label key={wall} className="mr-4 inline-flex min-h-11 items-center gap-2 text-small">
              <input
                type="checkbox"
                name="walls"
                value={wall}
                defaultChecked={keeper.walls.includes(wall)}
                className="size-5 accent-ink"
              />
              {wall}
            </label>
          ))}
        </fieldset>
        <Field
          label="Where in the room"
          name="place"
          defaultValue={keeper.place}
          error={errors.place}
        />
        <label className="flex min-h-11 items-center gap-2 self-end text-small">
          <input
            type="checkbox"
            name="varies"
            checked={varies}
            onChange={(event) => onVaries(event.target.checked)}
            className="size-5 accent-ink"
          />
          Varies from piece to piece
        </label>
        <div className="col-span-2">
          <Field label="Note" name="note" defaultValue={keeper.note} error={errors.note} />
        </div>
        {otherRooms.length > 0 && (
          <fieldset className="col-span-2">
            <legend className="text-small font-medium">Runs on into</legend>
            {otherRooms.map(({ id, name }) => (
              <label key={id} className="mr-4 inline-flex min-h-11 items-center gap-2 text-small">
                <input
                  type="checkbox"
                  name="alsoIn"
                  value={id}
                  defaultChecked={keeper.roomIds.includes(id)}
                  className="size-5 accent-ink"
                />
                {name}
              </label>
            ))}
          </fieldset>
        )}
      </div>
    </details>
  )
}
