import { notFound } from 'next/navigation'
import { loadSheet } from '@/app/_load/sheets'
import { loadVisit } from '@/app/_load/visit-page'
import { SHEET_KINDS, type SheetKind } from '@/core/sheet/sheet-document'
import { ReadingPage } from '@/ui/frame/reading-page'
import { PrintButton } from '@/ui/sheet/print-button'
import { SheetsNav } from '@/ui/sheet/sheets-nav'
import { SheetPage } from '@/ui/sheet/sheet-page'
import { warmPdf } from '@/workers/pdf-client'

// What else leaves the house, for other programs.
const FILES = [
  ['file', 'The whole visit, with its photos (zip: JSON and its schema)'],
  ['record', 'The record (CSV)'],
  ['palette?as=cgats', 'Candidates (CGATS)'],
  ['palette?as=gpl', 'Candidates (GIMP palette)'],
  ['readings?as=csv', 'Readings of what stays (CSV)'],
] as const

export const metadata = { title: 'Sheets' }

const isKind = (kind: string): kind is SheetKind => SHEET_KINDS.some((each) => each === kind)

export default async function SheetPageOf({
  params,
}: {
  params: Promise<{ visitId: string; kind: string }>
}) {
  const { visitId, kind } = await params
  if (!isKind(kind)) notFound()
  const { visit, rooms } = await loadVisit(visitId)
  const sheet = await loadSheet(visit.id, kind)
  warmPdf(sheet)
  const pdf = `/api/visits/${visit.id}/sheets/${kind}`
  return (
    <ReadingPage>
      <div className="mb-5 flex flex-wrap items-center gap-x-4 gap-y-2 print:hidden">
        <SheetsNav
          visitId={visit.id}
          rooms={rooms.map(({ id, name }) => ({ id, name }))}
          shown={kind}
        />
        <span className="ml-auto flex gap-2">
          <a className="key" download href={`${pdf}?paper=a4`}>
            PDF, A4
          </a>
          <a className="key" download href={`${pdf}?paper=letter`}>
            PDF, Letter
          </a>
          <PrintButton />
        </span>
      </div>
      <SheetPage sheet={sheet} />
      <section
        aria-label="Open files"
        className="mt-8 border-t border-ink pt-3 text-small print:hidden"
      >
        <h2 className="text-title">Open files</h2>
        <ul className="flex flex-wrap gap-x-5 gap-y-1">
          {FILES.map(([address, words]) => (
            <li key={address}>
              <a
                href={`/api/visits/${visit.id}/${address}`}
                className="inline-flex min-h-11 items-center underline underline-offset-4"
              >
                {words}
              </a>
            </li>
          ))}
        </ul>
      </section>
    </ReadingPage>
  )
}
