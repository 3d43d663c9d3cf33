import { Link } from '../frame/page-link'

/** What a view that draws on a deck shows where there is none yet. */
export function NoDeck({ why }: { readonly why: string }) {
  return (
    <main className="flex-1 p-6">
      <h1 className="text-head">No deck yet</h1>
      <p className="my-3">{why} Import one first.</p>
      <Link href="/decks" className="key key-first">
        To the decks
      </Link>
    </main>
  )
}
