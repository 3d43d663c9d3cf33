import { EnterForm } from '@/ui/enter/enter-form'
import { WorkArea } from '@/ui/frame/work-area'

export const metadata = { title: 'Enter' }

/** Asked of whoever comes from another device. */
export default function EnterPage() {
  return (
    <WorkArea>
      <main className="mx-auto max-w-3xl px-6 py-12">
        <h1 className="text-head">Elm Swatch</h1>
        <EnterForm />
      </main>
    </WorkArea>
  )
}
