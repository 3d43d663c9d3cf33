import { redirect } from 'next/navigation'

/** Saved schemes stand beside those that can be drawn. */
export default async function SavedSchemesPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  redirect(`/visits/${visitId}/rooms/${roomId}/lead?show=saved`)
}
