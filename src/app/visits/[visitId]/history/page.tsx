import { loadSettings } from '@/app/_load/settings'
import { loadNames, loadVisit } from '@/app/_load/visit-page'
import { historyOf } from '@/commands/sentence'
import { listCommands, MOST_LISTED } from '@/db/commands'
import { openDb } from '@/db/store'
import { ReadingPage } from '@/ui/frame/reading-page'
import { HistoryList } from '@/ui/record/history-list'

export const metadata = { title: 'History' }

export default async function HistoryPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit } = await loadVisit((await params).visitId)
  const commands = await listCommands(await openDb(), visit.id)
  const history = historyOf(commands, await loadNames(visit.id), (await loadSettings()).lengths)
  return (
    <ReadingPage>
      <h1 className="text-head">History</h1>
      {commands.length === MOST_LISTED && (
        <p className="text-small">
          The latest {MOST_LISTED} changes; those before stand in the record.
        </p>
      )}
      <HistoryList
        visitId={visit.id}
        timeZone={visit.timeZone}
        changes={history.map(({ id, kind, sentence, actor, madeAt, receivedAt, undoneBy }) => ({
          id,
          kind,
          sentence,
          actor,
          madeAt,
          receivedAt,
          isUndone: undoneBy !== null,
        }))}
      />
    </ReadingPage>
  )
}
