import type { Judgement } from '@/core/pairing/chance'

/** Our shape for the model's judgement: the vessel of a verdict, filled as far as its chance goes. */
export function JudgementMark({ judgement }: { readonly judgement: Judgement }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="-11 -11 22 22"
      className="size-5 shrink-0"
      fill="none"
      stroke="currentColor"
    >
      {SHAPES[judgement]}
    </svg>
  )
}

const ring = <circle r="8" strokeWidth="1.5" />

const SHAPES: Record<Judgement, React.ReactNode> = {
  works: <circle r="8.7" fill="currentColor" stroke="none" />,
  'works likely': (
    <>
      {ring}
      <path d="M-7.4 -3 A8 8 0 1 0 7.4 -3 Z" fill="currentColor" />
    </>
  ),
  unsure: (
    <>
      {ring}
      <path d="M0 -8 A8 8 0 0 0 0 8 Z" fill="currentColor" />
    </>
  ),
  'no likely': (
    <>
      {ring}
      <rect x="-5" y="-2" width="10" height="4" fill="currentColor" stroke="none" />
    </>
  ),
  no: <rect x="-9" y="-3" width="18" height="6" fill="currentColor" stroke="none" />,
}
