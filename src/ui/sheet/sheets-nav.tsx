'use client'

import { SHEET_KINDS, SHEET_WORDS, type SheetKind } from '@/core/sheet/sheet-document'
import { useAddress } from '../frame/page-address'
import { Link } from '../frame/page-link'

/** Every sheet of a visit beside each other, and under the records that of each room; the day that is looked at goes along. */
export function SheetsNav({
  visitId,
  rooms,
  roomId,
  shown,
}: {
  readonly visitId: string
  readonly rooms: readonly { readonly id: string; readonly name: string }[]
  /** The room whose own record is shown; left out, all rooms are. */
  readonly roomId?: string
  readonly shown: SheetKind
}) {
  const asked = useAddress().toString()
  const query = asked ? `?${asked}` : ''
  return (
    <div className="flex flex-col gap-1">
      <nav aria-label="Sheets" className="flex flex-wrap">
        {SHEET_KINDS.map((each) => (
          <Link
            key={each}
            href={`/visits/${visitId}/sheets/${each}${query}`}
            aria-current={each === shown ? 'page' : undefined}
            className="key -ml-px px-3 first:ml-0 aria-[current]:bg-ink aria-[current]:text-paper"
          >
            {SHEET_WORDS[each]}
          </Link>
        ))}
      </nav>
      {shown === 'record' && (
        <nav aria-label="Record of one room" className="flex flex-wrap gap-x-5 text-small">
          {rooms.map(({ id, name }) => (
            <Link
              key={id}
              href={`/visits/${visitId}/rooms/${id}/sheet${query}`}
              aria-current={id === roomId ? 'page' : undefined}
              className="min-h-11 content-center underline underline-offset-4 aria-[current]:font-semibold aria-[current]:no-underline"
            >
              {name}
            </Link>
          ))}
        </nav>
      )}
    </div>
  )
}
