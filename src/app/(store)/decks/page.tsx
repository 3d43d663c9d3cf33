import { listDecks } from '@/db/decks'
import { openDb } from '@/db/store'
import { DeckImport } from '@/ui/deck/deck-import'
import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'Decks' }

export default async function DecksPage() {
  const decks = await listDecks(await openDb())
  return (
    <ReadingPage>
      <h1 className="text-head">Decks</h1>
      <ul className="mt-3 border-t border-ink">
        {decks.map((deck) => (
          <li
            key={deck.id}
            className="flex min-h-11 items-center justify-between border-b border-rule"
          >
            <span>
              {deck.maker}, {deck.name}
            </span>
            <span className="text-small text-dim">
              {deck.colours.toLocaleString('en-GB')} colours, white base L* {deck.whiteBase[0]}
            </span>
          </li>
        ))}
        {decks.length === 0 && (
          <li className="py-4 text-dim">No deck yet; take one in from a CSV file.</li>
        )}
      </ul>
      <h2 className="mt-8 mb-3 text-title">Take a deck in</h2>
      <DeckImport />
    </ReadingPage>
  )
}
