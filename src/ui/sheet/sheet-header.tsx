import { longDate } from '@/core/light/calendar-date'
import { PrintButton } from './print-button'

/** What stands on top of a page that is printed: whose visit, where and when, and what it is. */
export function SheetHeader({
  visit: { household, placeName, visitDate },
  title,
}: {
  readonly visit: {
    readonly household: string
    readonly placeName: string
    readonly visitDate: string
  }
  readonly title: string
}) {
  return (
    <header className="flex items-end justify-between gap-4 border-b-2 border-ink pb-3">
      <div>
        <p className="text-small">
          {household}, {placeName}, {longDate(visitDate)}
        </p>
        <h1 className="text-head">{title}</h1>
      </div>
      <PrintButton />
    </header>
  )
}
