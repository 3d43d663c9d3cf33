import { loadRoomSheet, type SheetEntry } from '@/app/_load/room-sheet'
import { loadTradeWords } from '@/app/_load/settings'
import { ReadingPage } from '@/ui/frame/reading-page'
import { SheetsNav } from '@/ui/sheet/sheets-nav'
import { SheetHeader } from '@/ui/sheet/sheet-header'
import { OLD_PAINT_CAUTION } from '@/core/advice/brief'
import { longDate } from '@/core/light/calendar-date'
import { chancePercent, JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { PhotoLink } from '@/ui/bench/moment-photo'
import { Patch } from '@/ui/swatch/patch'
import { notSoldIn } from '@/core/record/proposal'
import { VerdictMark } from '@/ui/verdict/verdict-mark'

export const metadata = { title: 'Room sheet' }

export default async function RoomSheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<{ day?: string }>
}) {
  const { visitId, roomId } = await params
  const inWords = await loadTradeWords()
  const {
    visit,
    room,
    rooms,
    rulings,
    arriving,
    date,
    keepers,
    lightNames,
    sentences,
    groups,
    unseen,
  } = await loadRoomSheet(visitId, roomId, (await searchParams).day)
  const staying = keepers.filter(({ state }) => state !== 'leaving')
  const leaving = keepers.filter(({ state }) => state === 'leaving')
  const ruled = groups.some(({ entries }) => entries.length > 0)
  return (
    <ReadingPage>
      <div className="mb-5 flex flex-wrap items-center gap-x-4 gap-y-2 print:hidden">
        <SheetsNav
          visitId={visit.id}
          rooms={rooms.map(({ id, name }) => ({ id, name }))}
          roomId={room.id}
          shown="record"
        />
      </div>
      <SheetHeader visit={visit} title={room.name} />
      <div className="grid grid-cols-[1fr_14rem] gap-8 border-b border-rule py-3 text-small max-sm:grid-cols-1 max-sm:gap-3">
        <div>
          {date !== visit.visitDate && (
            <p className="font-medium">In the light of {longDate(date)}</p>
          )}
          {sentences.map((sentence) => (
            <p key={sentence}>{sentence}</p>
          ))}
          {visit.wishes && <p className="mt-2">They wish for: {visit.wishes}</p>}
          {visit.willNotHave && <p>They will not have: {visit.willNotHave}</p>}
        </div>
        <div>
          <p>
            <span className="font-medium">Judged against:</span>{' '}
            {staying.map(({ name }) => name).join(', ') || 'nothing yet'}
          </p>
          {leaving.length > 0 && <p>Leaving: {leaving.map(({ name }) => name).join(', ')}</p>}
        </div>
      </div>
      {rulings.length > 0 && (
        <section aria-label="Ruled" className="mt-4 break-inside-avoid border-b-2 border-ink pb-4">
          <h2 className="text-title">Ruled</h2>
          <ul>
            {rulings.map(({ id, surface, sheen, compromise, gaps, by, on, entry }) => (
              <li key={id} className="flex gap-4 py-1">
                <span className="flex h-16 w-56 shrink-0 max-sm:w-28">
                  {entry.bands.map((band, i) => (
                    <Patch
                      key={lightNames[i]}
                      colour={band}
                      label={`${entry.paint.name} for ${inWords(surface)}, ${lightNames[i]}`}
                      className="h-full min-w-0 flex-1"
                    />
                  ))}
                </span>
                <p className="text-small">
                  <span className="block font-display text-title leading-6">
                    {inWords(surface)}: {entry.paint.name} at {entry.paint.strengthPercent} %,{' '}
                    {sheen}
                  </span>
                  {entry.paint.deckName}, {entry.paint.code}; ruled by {by}, {on}.
                  {compromise && <strong className="block font-semibold">{compromise}</strong>}
                  {gaps.length > 0 && (
                    <span className="block text-dim">Not known then: {gaps.join('; ')}.</span>
                  )}
                </p>
              </li>
            ))}
          </ul>
        </section>
      )}
      {!ruled && (
        <p className="py-8 text-dim">
          Nothing has been seen in this room yet. The bench is where verdicts are given, on samples
          in the light that is there.
        </p>
      )}
      {groups.map(({ title, entries }) =>
        entries.length === 0 ? null : (
          <section key={title} aria-label={title} className="mt-6">
            <h2 className="text-title">{title}</h2>
            {entries.map((entry) => (
              <Entry key={entry.paint.id} entry={entry} lightNames={lightNames} />
            ))}
          </section>
        ),
      )}
      {arriving.length > 0 && (
        <section aria-label="What arrives" className="mt-6 break-inside-avoid">
          <h2 className="text-title">What arrives, beside what stays</h2>
          <ul className="text-small">
            {arriving.map(({ key, words, verdict, says }) => (
              <li key={key} className="flex items-center gap-2">
                <VerdictMark verdict={verdict} /> {words}: {says}
              </li>
            ))}
          </ul>
        </section>
      )}
      {unseen.length > 0 && (
        <p className="mt-6 text-small">
          <span className="font-medium">Not seen here yet:</span>{' '}
          {unseen
            .map(
              ({ paint, says }) =>
                `${paint.name} at ${paint.strengthPercent} %${says.look ? ' (on a screen only)' : ''}`,
            )
            .join(', ')}
          .
        </p>
      )}
      <footer className="mt-8 border-t border-rule pt-3 text-fine text-dim">
        Colours on a screen or from a printer are not paint: order by maker, code and strength, and
        rule from dry two-coat boards. {visit.oldPaint !== 'no' && OLD_PAINT_CAUTION} Ventilate
        while paint dries. This sheet advises on colour, not on safety.
      </footer>
    </ReadingPage>
  )
}

function Entry({
  entry,
  lightNames,
}: {
  readonly entry: SheetEntry
  readonly lightNames: readonly string[]
}) {
  const { paint } = entry
  return (
    <article
      aria-label={`${paint.name} at ${paint.strengthPercent} per cent`}
      className="grid break-inside-avoid grid-cols-[14rem_1fr_11rem] gap-6 border-t border-ink py-3 max-sm:grid-cols-1 max-sm:gap-2"
    >
      <div>
        <div className="flex h-24">
          {entry.bands.map((band, i) => (
            <Patch
              key={lightNames[i]}
              colour={band}
              label={`${paint.name}, ${lightNames[i]}`}
              className="h-full min-w-0 flex-1"
            />
          ))}
        </div>
        <div className="flex text-fine text-dim">
          {lightNames.map((name) => (
            <span key={name} className="flex-1">
              {name}
            </span>
          ))}
        </div>
      </div>
      <div>
        <h3 className="flex items-center gap-2 font-display text-title leading-6">
          <VerdictMark verdict={entry.ruledOut === null ? entry.says.verdict : 'no'} />
          {paint.name} at {paint.strengthPercent} %
        </h3>
        {entry.ruledOut !== null && <p className="text-small">Ruled out: {entry.ruledOut}</p>}
        {(entry.says.marks.length > 0 || entry.says.clientSaysNo) && (
          <p className="text-fine">
            {[...entry.says.marks, ...(entry.says.clientSaysNo ? ['the client says no'] : [])].join(
              ', ',
            )}
          </p>
        )}
        <ul className="mt-1 text-small">
          {entry.looks.map((look) => (
            <li key={look.id} className={look.isOnScreen ? 'text-dim' : ''}>
              Against {look.against}, {look.light}; {look.how}:{' '}
              <strong className="font-semibold">{look.said}</strong>
              {look.note && ` — “${look.note}”`}
              {look.client &&
                ` — client: ${look.client.says}${look.client.words && `, “${look.client.words}”`}`}
              {look.photoHash && (
                <>
                  {' — '}
                  <PhotoLink hash={look.photoHash} />
                </>
              )}
              {look.model &&
                `; the model said ${JUDGEMENT_WORDS[look.model.judgement]}, ${chancePercent(look.model.chance)}`}
            </li>
          ))}
        </ul>
      </div>
      <dl className="text-fine tabular-nums">
        <dt className="text-dim">Maker, deck and code</dt>
        <dd className="mb-1">
          {paint.deckName}, {paint.code}
        </dd>
        {entry.proposals.length > 0 && (
          <>
            <dt className="text-dim">For</dt>
            <dd className="mb-1">
              {entry.proposals
                .map(({ surface, sheen, status }) =>
                  [surface, sheen, ...(status === 'proposed' ? [] : [status])].join(', '),
                )
                .join('; ')}
              {entry.proposals.map(({ id, sheen }) => (
                <span key={id} className="block font-medium">
                  {notSoldIn(paint.sheens, sheen)}
                </span>
              ))}
            </dd>
          </>
        )}
        <dt className="text-dim">At the counter</dt>
        <dd className="mb-1">
          {paint.strengthPercent === 100
            ? `the full formula in the ${entry.base} base`
            : `${paint.strengthPercent} % of the formula in the same ${entry.base} base`}
        </dd>
        <dt className="text-dim">LRV</dt>
        <dd className="mb-1">{Math.round(entry.lrvPercent)}</dd>
        <dt className="text-dim">It reads</dt>
        <dd>{entry.words}</dd>
      </dl>
    </article>
  )
}
