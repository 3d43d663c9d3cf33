import type { Metadata, Viewport } from 'next'
import { headers } from 'next/headers'
import { Hydrated } from '@/ui/frame/hydrated'
import './globals.css'

export const metadata: Metadata = { title: { default: 'Elm Swatch', template: '%s · Elm Swatch' } }
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  // Reading the request makes every page dynamic, which the content policy's nonce needs.
  await headers()
  return (
    <html lang="en">
      <body>
        {children}
        <Hydrated />
      </body>
    </html>
  )
}
