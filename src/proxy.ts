import { NextResponse, type NextRequest } from 'next/server'
import { hasEntered, isCrossSite, isOwnHost } from './app/door'

// What can be had before the passcode was said: the page that asks for it, and what a device keeps the application by.
const OPEN = /^\/(enter$|api\/enter$|icons\/|favicon\.ico$|manifest\.webmanifest$|sw\.js$)/

/**
 * Every page: refuses hosts that are not this machine (a foreign name that resolves here is someone
 * else's page at work) and what other sites ask for, lets in whoever may, and sets the content policy with a fresh nonce.
 */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  if (!isOwnHost(request.headers.get('host')))
    return new NextResponse('Elm Swatch answers by the names of its own machine only.', {
      status: 403,
    })
  if (isCrossSite(request))
    return new NextResponse('Elm Swatch answers its own pages only.', { status: 403 })
  const { pathname, search } = request.nextUrl
  if (!OPEN.test(pathname) && !(await hasEntered(request)))
    return pathname.startsWith('/api/')
      ? NextResponse.json(
          { ok: false, message: 'Enter the passcode again, then this goes on.' },
          { status: 401 },
        )
      : NextResponse.redirect(
          new URL(`/enter?to=${encodeURIComponent(pathname + search)}`, request.url),
        )

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
  return response
}

// A proxied body is cut off at 10 MB: files of decks and of visits go past it, and their handlers check for themselves.
export const config = {
  matcher: ['/((?!_next/static|_next/image|api/decks/import|api/visit-file).*)'],
}
