import { randomUUID } from 'node:crypto'
import { loadSettings } from '@/app/_load/settings'
import { PLAIN_BRIEF } from '@/core/advice/brief'
import { BriefForm } from '@/ui/brief/brief-form'
import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'New visit' }

export default async function NewVisitPage() {
  const { houseRules } = await loadSettings()
  return (
    <ReadingPage wide>
      <h1 className="text-head">New visit</h1>
      <BriefForm
        visit={{
          id: randomUUID(),
          household: '',
          wishes: '',
          willNotHave: '',
          houseRules,
          ...PLAIN_BRIEF,
          placeName: '',
          latitudeDeg: null,
          longitudeDeg: null,
          timeZone: '',
          visitDate: null,
        }}
        submit="Save the visit"
      />
    </ReadingPage>
  )
}
