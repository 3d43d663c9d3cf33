import { Link } from '../ui/frame/page-link'

export default function NotFound() {
  return (
    <main className="mx-auto max-w-2xl px-6 py-16">
      <h1 className="text-head">There is nothing here</h1>
      <p className="mt-2">The visit or room was removed, or the address was cut short.</p>
      <Link href="/" className="key mt-6">
        To the visits
      </Link>
    </main>
  )
}
