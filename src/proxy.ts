import { NextResponse, type NextRequest } from 'next/server'
import { isLoopbackHost } from './app/loopback'

/**
 * Every page: refuses hosts that are not this machine (a foreign name that resolves here is someone
 * else's page at work) and sets the content policy with a fresh nonce.
 */
export function proxy(request: NextRequest): NextResponse {
  if (!isLoopbackHost(request.headers.get('host')))
    return new NextResponse('Elm Swatch answers on this machine only.', { status: 403 })

  const nonce = btoa(crypto.randomUUID())
  const policy = [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${process.env.NODE_ENV === 'development' ? ` 'unsafe-eval'` : ''}`,
    `style-src 'self' 'nonce-${nonce}'`,
    // Sizes and places of drawings; colours of swatches are SVG fills.
    `style-src-attr 'unsafe-inline'`,
    `img-src 'self' data:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self'`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ')
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('content-security-policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('content-security-policy', policy)
  response.headers.set('x-content-type-options', 'nosniff')
  response.headers.set('referrer-policy', 'same-origin')
  return response
}

// A proxied body is cut off at 10 MB: files of decks and of visits go past it, and their handlers check for themselves.
export const config = {
  matcher: ['/((?!_next/static|_next/image|api/decks/import|api/visit-file).*)'],
}
