import type { Metadata, Viewport } from 'next'
import { headers } from 'next/headers'
import { loadSettings } from '@/app/_load/settings'
import { knownLocale } from '@/time/typed-date'
import { Hydrated } from '@/ui/frame/hydrated'
import { SettingsProvider } from '@/ui/settings/settings-context'
import './globals.css'

// Every page is made when it is asked for: the content policy's nonce needs it, and a build must not open anybody's store.
export const dynamic = 'force-dynamic'
export const metadata: Metadata = { title: { default: 'Elm Swatch', template: '%s · Elm Swatch' } }
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  const { who, lengths, volumes, words, firstSpeaks } = await loadSettings()
  const locale = knownLocale((await headers()).get('accept-language') ?? '')
  return (
    <html lang="en">
      <body>
        <SettingsProvider settings={{ who, lengths, volumes, words, firstSpeaks, locale }}>
          {children}
        </SettingsProvider>
        <Hydrated />
      </body>
    </html>
  )
}
