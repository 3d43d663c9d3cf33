import { loadPaintWays, loadSettings } from '@/app/_load/settings'
import { PaintWaysForm } from '@/ui/settings/paint-ways-form'
import { SettingsForm } from '@/ui/settings/settings-form'
import { backupsDir, keptBackups } from '@/store/backups-dir'
import { dataDirFromEnvironment } from '@/store/store'
import { KeepingSafe } from '@/ui/settings/keeping-safe'
import { isWide } from '@/app/door'
import { Leave } from '@/ui/enter/leave'
import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'Settings' }

export default async function SettingsPage() {
  const settings = await loadSettings()
  const dataDir = dataDirFromEnvironment()
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
      <h2 className="mt-10 border-t border-ink pt-4 text-title">Keeping it safe</h2>
      <KeepingSafe
        daily={settings.dailyBackup}
        kept={keptBackups(dataDir)}
        dir={backupsDir(dataDir)}
      />
      {isWide() && (
        <>
          <h2 className="mt-10 border-t border-ink pt-4 text-title">Other devices</h2>
          <Leave />
        </>
      )}
    </ReadingPage>
  )
}
