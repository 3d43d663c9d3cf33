import { PaintBeforeRoom } from '@/app/_load/paint-before-room'
import { paintOfAddress, type PaintQuery } from '@/app/_load/paint-address'

export const metadata = { title: 'A paint' }

export default async function PaintPage({ searchParams }: { searchParams: Promise<PaintQuery> }) {
  return <PaintBeforeRoom opening={paintOfAddress(await searchParams)} />
}
