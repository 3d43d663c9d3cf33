import { redirect } from 'next/navigation'

/** The first of the sheets, with whatever the address says of a day. */
export default async function SheetsPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string }>
  searchParams: Promise<Record<string, string>>
}) {
  const query = new URLSearchParams(await searchParams).toString()
  redirect(`/visits/${(await params).visitId}/sheets/client${query && `?${query}`}`)
}
