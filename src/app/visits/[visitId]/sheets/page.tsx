import { redirect } from 'next/navigation'

export default async function SheetsPage({ params }: { params: Promise<{ visitId: string }> }) {
  redirect(`/visits/${(await params).visitId}/sheets/client`)
}
