import { redirect } from 'next/navigation'

export default async function VisitPage({ params }: { params: Promise<{ visitId: string }> }) {
  redirect(`/visits/${(await params).visitId}/brief`)
}
