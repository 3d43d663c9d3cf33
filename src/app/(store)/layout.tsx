import { openDb } from '@/store/store'
import { listVisits } from '@/db/visits'
import { StoreFrame } from '@/ui/frame/store-frame'

/** Every page that is of no visit: what the store holds, and how its people work. */
export default async function StoreLayout({ children }: { readonly children: React.ReactNode }) {
  const visits = await listVisits(await openDb(), '', 0)
  return (
    <StoreFrame
      visits={visits.map(({ id, household, placeName }) => ({
        kind: 'visit',
        href: `/visits/${id}/brief`,
        name: household,
        says: placeName,
      }))}
    >
      {children}
    </StoreFrame>
  )
}
