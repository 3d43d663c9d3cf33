import Link from 'next/link'
import { loadSettings } from '@/app/_load/settings'
import { SettingsForm } from '@/ui/settings/settings-form'

export const metadata = { title: 'Settings' }

export default async function SettingsPage() {
  return (
    <main className="mx-auto max-w-4xl px-6 py-6">
      <Link href="/" className="text-small underline underline-offset-4">
        Visits
      </Link>
      <h1 className="mt-3 text-head">Settings</h1>
      <SettingsForm settings={await loadSettings()} />
    </main>
  )
}
