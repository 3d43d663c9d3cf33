import { loadSettings } from '@/app/_load/settings'
import { loadNames, loadStandingLooks, loadVisit } from '@/app/_load/visit-page'
import { historyOf } from '@/commands/sentence'
import { agreementOf } from '@/core/record/agreement'
import { listCommands, MOST_LISTED } from '@/db/commands'
import { openDb } from '@/store/store'
import { ReadingPage } from '@/ui/frame/reading-page'
import { HistoryList } from '@/ui/record/history-list'

export const metadata = { title: 'History' }

export default async function HistoryPage({ params }: { params: Promise<{ visitId: string }> }) {
  const { visit } = await loadVisit((await params).visitId)
  const commands = await listCommands(await openDb(), visit.id)
  // Names are asked for only where changes of before are told.
  const isOld = commands.some(({ sentence }) => sentence === null)
  const names = isOld ? await loadNames(visit.id) : new Map<string, string>()
  const history = historyOf(commands, names, await loadSettings())
  const { agreed, of, known } = agreementOf(await loadStandingLooks(visit.id))
  return (
    <ReadingPage>
      <h1 className="text-head">History</h1>
      {of + known > 0 && (
        <p className="my-2 text-small">
          Your eye and the model: {agreed} of {of} looks alike where both spoke out and you had not
          seen its reading{known > 0 && `; ${known} more do not count, for it was known before`}.
        </p>
      )}
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
