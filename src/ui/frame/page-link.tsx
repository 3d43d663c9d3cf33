import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/**
 * A link to another page of the application. Fetched when it is followed: ahead of it the server
 * could only answer each link with an empty frame, and a page has up to fifty of them.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />
}
