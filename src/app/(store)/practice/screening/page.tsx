import { ScreeningView } from '@/ui/practice/screening-view'

export const metadata = { title: 'Colour vision' }

export default function ScreeningPage() {
  return <ScreeningView />
}
