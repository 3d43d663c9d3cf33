import { randomUUID } from 'node:crypto'
import Link from 'next/link'
import { loadSettings } from '@/app/_load/settings'
import { PLAIN_BRIEF } from '@/core/advice/brief'
import { BriefForm } from '@/ui/brief/brief-form'

export const metadata = { title: 'New visit' }

export default async function NewVisitPage() {
  const { houseRules } = await loadSettings()
  return (
    <main className="mx-auto max-w-6xl px-6 py-6">
      <Link href="/" className="text-small underline underline-offset-4">
        Visits
      </Link>
      <h1 className="mt-3 text-head">New visit</h1>
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
          visitDate: new Date().toISOString().slice(0, 10),
        }}
        submit="Keep the visit"
      />
    </main>
  )
}
