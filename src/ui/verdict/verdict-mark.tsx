import type { Judgement } from '@/core/pairing/chance'
import type { Verdict } from '@/core/record/verdict'

/** Our shape for a verdict, told apart without colour; an empty ring where nothing was seen. */
export function VerdictMark({ verdict }: { readonly verdict: Verdict | null }) {
  return <Vessel>{SHAPES[verdict ?? 'unseen']}</Vessel>
}

/** Our shape for the model's judgement: the vessel of a verdict, filled as far as its chance goes. */
export function JudgementMark({ judgement }: { readonly judgement: Judgement }) {
  return <Vessel>{BY_CHANCE[judgement]}</Vessel>
}

function Vessel({ children }: { readonly children: React.ReactNode }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="-11 -11 22 22"
      className="size-5 shrink-0"
      fill="none"
      stroke="currentColor"
    >
      {children}
    </svg>
  )
}

const ring = <circle r="8" strokeWidth="1.5" />

// A vessel: full, filled to the foot, brimming over, half and half, or a shut lid.
const SHAPES: Record<Verdict | 'unseen', React.ReactNode> = {
  works: <circle r="8.7" fill="currentColor" stroke="none" />,
  'works-lighter': (
    <>
      {ring}
      <path d="M-6.9 4 A8 8 0 0 0 6.9 4 Z" fill="currentColor" />
    </>
  ),
  'works-stronger': (
    <>
      <circle r="6" fill="currentColor" stroke="none" />
      <circle r="9.6" strokeWidth="2" />
    </>
  ),
  unsure: (
    <>
      {ring}
      <path d="M0 -8 A8 8 0 0 0 0 8 Z" fill="currentColor" />
    </>
  ),
  no: <rect x="-9" y="-3" width="18" height="6" fill="currentColor" stroke="none" />,
  unseen: <circle r="8" strokeWidth="1" strokeDasharray="2 2.2" />,
}

const BY_CHANCE: Record<Judgement, React.ReactNode> = {
  works: SHAPES.works,
  'likely-works': (
    <>
      {ring}
      <path d="M-7.4 -3 A8 8 0 1 0 7.4 -3 Z" fill="currentColor" />
    </>
  ),
  unsure: SHAPES.unsure,
  'likely-not': (
    <>
      {ring}
      <rect x="-5" y="-2" width="10" height="4" fill="currentColor" stroke="none" />
    </>
  ),
  no: SHAPES.no,
}
