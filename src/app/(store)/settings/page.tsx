import { loadSettings } from '@/app/_load/settings'
import { SettingsForm } from '@/ui/settings/settings-form'
import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'Settings' }

export default async function SettingsPage() {
  return (
    <ReadingPage>
      <h1 className="text-head">Settings</h1>
      <SettingsForm settings={await loadSettings()} />
    </ReadingPage>
  )
}
