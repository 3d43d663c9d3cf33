import { KeyList } from '../keys/key-list'
import { UndoKey } from '../record/undo-key'
import { PaletteKey } from './palette-key'
import type { Destination } from './steps'

/** At the end of every header: where one can go by name, the keys in force, and the one that takes back. */
export function HeaderKeys({
  visitId,
  destinations,
}: {
  /** Null where a page is of no visit. */
  readonly visitId: string | null
  readonly destinations: readonly Destination[]
}) {
  return (
    <>
      <div className="flex shrink-0 items-baseline gap-3 self-center pl-3 text-small max-sm:hidden">
        <PaletteKey destinations={destinations} />
        <KeyList />
      </div>
      <UndoKey visitId={visitId} />
    </>
  )
}
