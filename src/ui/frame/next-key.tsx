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
      className="min-w-0 max-w-40 2xl:max-w-64 shrink-0 content-center truncate pl-3 text-small underline underline-offset-4 max-sm:hidden"
    >
      Next: {words} <kbd>{'>'}</kbd>
    </Link>
  )
}
