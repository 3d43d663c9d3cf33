'use client'

import { useRouter } from 'next/navigation'
import { useKeys } from '../keys/use-keys'
import { Link } from './page-link'

/** The next useful step in a line, one key away. */
export function NextKey({ href, words }: { readonly href: string; readonly words: string }) {
  const router = useRouter()
  useKeys({ '>': () => router.push(href) }, [['>', 'the next step']])
  return (
    <Link
      href={href}
      title={`Next: ${words}`}
      aria-label={`Next: ${words}`}
      className="min-h-9 content-center pl-3 underline underline-offset-4"
    >
      Next<span className="group-data-[shows=short]:hidden">: {words}</span> <kbd>{'>'}</kbd>
    </Link>
  )
}
