import { sameNames } from '@/app/_load/same-names'
import { listDecks } from '@/db/decks'
import { openDb } from '@/store/store'
import { DeckImport } from '@/ui/decks/deck-import'
import { ReadingPage } from '@/ui/frame/reading-page'
import { Patch } from '@/ui/swatch/patch'

export const metadata = { title: 'Decks' }

export default async function DecksPage() {
  const db = await openDb()
  const decks = await listDecks(db)
  const same = await sameNames(db)
  return (
    <ReadingPage>
      <h1 className="text-head">Decks</h1>
      <ul className="mt-3 border-t border-ink">
        {decks.map((deck) => (
          <li
            key={deck.id}
            className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 border-b border-rule"
          >
            <span>
              {deck.maker}, {deck.name}
            </span>
            <span className="flex flex-wrap items-center gap-x-4 text-small text-dim">
              {deck.colours.toLocaleString('en-GB')} colours, white base L* {deck.whiteBase[0]}
              <a
                className="min-h-11 content-center text-ink underline underline-offset-4"
                href={`/api/decks/${deck.id}/export?as=csv`}
                download
              >
                As CSV
              </a>
              <a
                className="min-h-11 content-center text-ink underline underline-offset-4"
                href={`/api/decks/${deck.id}/export?as=cgats`}
                download
              >
                As CGATS
              </a>
            </span>
          </li>
        ))}
        {decks.length === 0 && (
          <li className="py-4 text-dim">No deck yet; import one from a file.</li>
        )}
      </ul>
      {same.pairs.length > 0 && (
        <section aria-label="One name, two paints" className="mt-6">
          <h2 className="text-title">One name, two paints</h2>
          <p className="text-small">
            {same.count.toLocaleString('en-GB')} {same.count === 1 ? 'name stands' : 'names stand'}{' '}
            in two decks. Each is a paint of its own; maker and code tell them apart.
          </p>
          <ul className="mt-1">
            {same.pairs.map(({ name, one, other, words }) => (
              <li
                key={`${one.code} ${other.code}`}
                className="flex items-center gap-3 border-b border-rule py-1 text-small"
              >
                <span className="flex h-11 w-24 shrink-0">
                  <Patch
                    colour={one.colour}
                    label={`${one.deck} ${one.code}`}
                    className="h-full flex-1"
                  />
                  <Patch
                    colour={other.colour}
                    label={`${other.deck} ${other.code}`}
                    className="h-full flex-1"
                  />
                </span>
                <span>
                  <span className="font-medium">{name}</span>: {one.deck}, {one.code} and{' '}
                  {other.deck}, {other.code}. The second is {words}.
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <h2 className="mt-8 mb-3 text-title">Import a deck</h2>
      <DeckImport />
    </ReadingPage>
  )
}
