import { loadPaintWays, loadSettings } from '@/app/_load/settings'
import { PaintWaysForm } from '@/ui/settings/paint-ways-form'
import { SettingsForm } from '@/ui/settings/settings-form'
import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'Settings' }

export default async function SettingsPage() {
  const settings = await loadSettings()
  return (
    <ReadingPage>
      <h1 className="text-head">Settings</h1>
      <SettingsForm settings={settings} />
      <h2 className="mt-10 border-t border-ink pt-4 text-title">Boards and paint</h2>
      <p className="text-small text-dim">
        As is usual in the trade until your own tins and tills say otherwise.
      </p>
      <PaintWaysForm
        key={settings.volumes}
        ways={await loadPaintWays()}
        lengths={settings.lengths}
        volumes={settings.volumes}
      />
    </ReadingPage>
  )
}
