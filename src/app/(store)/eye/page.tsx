import { loadEyeLooks } from '@/app/_load/eye-looks'
import { differencesOf, teaches } from '@/core/eye/differences'
import { listLessons } from '@/db/eye-lessons'
import { openDb } from '@/store/store'
import { EyeView } from '@/ui/eye/eye-view'
import { Lesson } from '@/ui/eye/lesson'
import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'Eye and model' }

export default async function EyePage() {
  const looks = await loadEyeLooks()
  const lessons = await listLessons(await openDb())
  return (
    <ReadingPage wide>
      <h1 className="mb-4 text-head">Eye and model</h1>
      <EyeView differences={differencesOf(looks)}>
        <Lesson looks={looks.filter(teaches).length} lessons={lessons} />
      </EyeView>
    </ReadingPage>
  )
}
