import { redirect } from 'next/navigation'
import { FIRST_SETTINGS, loadKeptSettings } from '@/app/_load/settings'
import { listDecks } from '@/db/decks'
import { openDb } from '@/store/store'
import { SHIPPED_DECK, shippedColours } from '@/formats/shipped-deck'
import { WorkArea } from '@/ui/frame/work-area'
import { KeyList } from '@/ui/keys/key-list'
import { StartForm } from '@/ui/settings/start-form'

export const metadata = { title: 'Start' }

export default async function StartPage() {
  if (await loadKeptSettings()) redirect('/')
  const hasDeck = (await listDecks(await openDb())).length > 0
  const { maker, name } = SHIPPED_DECK
  return (
    <WorkArea>
      <main className="mx-auto max-w-3xl px-6 py-12">
        <h1 className="text-head">Elm Swatch</h1>
        <p className="mt-1 text-dim">
          Paint judged in the room’s own light. This store is yours and empty; all of this can be
          changed later.
        </p>
        <StartForm
          settings={{ ...FIRST_SETTINGS, who: '' }}
          deck={
            hasDeck
              ? null
              : `${maker}, ${name}, ${shippedColours().length.toLocaleString('en-GB')} invented colours to work and practise with`
          }
        />
        <div className="mt-8 text-small">
          <KeyList />
        </div>
      </main>
    </WorkArea>
  )
}
