import { SHEET_KINDS, SHEET_WORDS, type SheetKind } from '@/core/sheet/sheet-document'
import { Link } from '../frame/page-link'

/** Every sheet of a visit beside each other; of a room at hand its own record. */
export const SheetsNav = ({
  visitId,
  roomId,
  shown,
}: {
  readonly visitId: string
  readonly roomId?: string
  readonly shown: SheetKind
}) => (
  <nav aria-label="Sheets" className="flex flex-wrap">
    {SHEET_KINDS.map((each) => (
      <Link
        key={each}
        href={
          each === 'record' && roomId
            ? `/visits/${visitId}/rooms/${roomId}/sheet`
            : `/visits/${visitId}/sheets/${each}`
        }
        aria-current={each === shown ? 'page' : undefined}
        className="key -ml-px px-3 first:ml-0 aria-[current]:bg-ink aria-[current]:text-paper"
      >
        {SHEET_WORDS[each]}
      </Link>
    ))}
  </nav>
)
