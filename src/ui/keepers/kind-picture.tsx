import type { ReactNode } from 'react'
import type { KeeperKind } from '@/core/pairing/keeper-kind'

// Drawn in the greys of the page: colour beside a field of colours would sway the eye.
const PALE = 'var(--color-mist)'
const MID = 'var(--color-rule)'
const DEEP = 'var(--color-ash)'

const PICTURES: Record<KeeperKind, ReactNode> = {
  floor: (
    <>
      <path d="M2 14h68v32H2z" fill={PALE} />
      <path d="M22 14 2 34M36 14 20 46M50 14l6 32M62 14l10 20M8 28h20M26 36h27M40 22h14M30 28h24" />
      <path d="M2 14h68M2 10h68" />
    </>
  ),
  fireplace: (
    <>
      <path d="M14 12h44v32H14z" fill={MID} />
      <path d="M8 6h56v6H8zM24 20h24v24H24z" fill={PALE} />
      <path d="M30 44c-3-8 4-9 4-16 6 4 9 9 8 16z" fill={DEEP} />
      <path d="M4 44h64" />
    </>
  ),
  stone: (
    <>
      <path d="M4 6h64v38H4z" fill={PALE} />
      <path d="M4 16c14-8 20 6 32-1s18 3 32-3M12 44c5-9 16-6 20-13s16-1 20-9 10-2 16-5M44 44c2-6 10-4 13-9" />
      <path d="M20 24h1M28 37h1M54 12h1M60 40h1M10 34h1" strokeWidth="2" />
    </>
  ),
  counter: (
    <>
      <path d="M3 16h66v6H3z" fill={DEEP} />
      <path d="M7 22h58v24H7zM36 22v24M28 28h4M40 28h4" fill={PALE} />
      <path d="M20 16h16M28 16V7h6v4" />
    </>
  ),
  tile: (
    <>
      <path d="M4 5h64v40H4z" fill={PALE} />
      <path d="M25 5h21v10H25zM4 25h10V15H4zM46 25h22V15H46zM25 35h21v10H25z" fill={MID} />
      <path d="M4 15h64M4 25h64M4 35h64M25 5v10M46 5v10M14 15v10M36 15v10M57 15v10M25 25v10M46 25v10M14 35v10M36 35v10M57 35v10" />
    </>
  ),
  panelling: (
    <>
      <path d="M4 4h64v40H4z" fill={PALE} />
      <path d="M4 40h64M4 8h64M8 12h14v24H8zM29 12h14v24H29zM50 12h14v24H50z" />
      <path d="M11 15h8v18h-8zM32 15h8v18h-8zM53 15h8v18h-8z" fill={MID} />
    </>
  ),
  cabinets: (
    <>
      <path d="M8 4h56v18H8zM8 28h56v17H8z" fill={PALE} />
      <path d="M36 4v18M36 28v17M12 8h20v10H12zM40 8h20v10H40zM12 32h20v9H12zM40 32h20v9H40z" />
      <path d="M34 11v4M38 11v4M34 35v3M38 35v3" strokeWidth="2" />
      <path d="M5 25h62" strokeWidth="3" stroke={DEEP} />
    </>
  ),
  door: (
    <>
      <path d="M20 3h32v43H20z" />
      <path d="M24 6h24v40H24z" fill={PALE} />
      <path d="M28 10h7v13h-7zM38 10h7v13h-7zM28 28h7v13h-7zM38 28h7v13h-7z" fill={MID} />
      <path d="M26 27h2" strokeWidth="2.5" />
    </>
  ),
  trim: (
    <>
      <path d="M4 4h64v42H4z" fill="none" stroke="none" />
      <path d="M30 3v29M40 3v29" />
      <path d="M30 3h10v29H30zM4 32h64v10H4z" fill={PALE} />
      <path d="M33 3v29M4 35h64M4 32h64M4 45h64" />
      <path d="M40 3h28v29H40z" fill={MID} />
    </>
  ),
  metal: (
    <>
      <path d="M14 44V20c0-14 20-14 20 0v3h6v-4c0-22-32-22-32 0v25z" fill={MID} />
      <path d="M34 27h6M37 30v3M37 36v2" />
      <path d="M52 8h14v6H52zM57 14h4v24h-4zM52 38h14v6H52z" fill={PALE} />
    </>
  ),
  carpet: (
    <>
      <path d="M4 16h64v29H4z" fill={MID} />
      <path d="M8 22q2-4 4 0M18 22q2-4 4 0M28 22q2-4 4 0M38 22q2-4 4 0M48 22q2-4 4 0M58 22q2-4 4 0M13 30q2-4 4 0M23 30q2-4 4 0M33 30q2-4 4 0M43 30q2-4 4 0M53 30q2-4 4 0M8 38q2-4 4 0M18 38q2-4 4 0M28 38q2-4 4 0M38 38q2-4 4 0M48 38q2-4 4 0M58 38q2-4 4 0" />
      <path d="M4 10h64M4 16h64" />
    </>
  ),
  appliance: (
    <>
      <path d="M12 3h22v43H12zM42 22h22v24H42z" fill={PALE} />
      <path d="M12 18h22M16 8v6M16 23v10M42 28h22M46 25h3M52 25h3M46 32h14v10H46z" />
    </>
  ),
  upholstery: (
    <>
      <path d="M12 12h48v18H12z" fill={PALE} />
      <path d="M14 26h44v12H14z" fill={MID} />
      <path d="M6 22h8v18H6zM58 22h8v18h-8z" fill={MID} />
      <path d="M36 12v26M10 40v5M62 40v5" />
    </>
  ),
  curtain: (
    <>
      <path d="M22 9h28v28H22zM36 9v28M22 22h28" />
      <path
        d="M8 7c4 14 3 26-1 38h14c4-12 4-26 1-38zM64 7c-4 14-3 26 1 38H51c-4-12-4-26-1-38z"
        fill={MID}
      />
      <path d="M13 7c3 14 3 26 0 38M59 7c-3 14-3 26 0 38M3 6h66" />
    </>
  ),
  mirror: (
    <>
      <ellipse cx="36" cy="24" rx="17" ry="21" fill={MID} />
      <ellipse cx="36" cy="24" rx="12" ry="16" fill="var(--color-paper)" />
      <path d="M30 30 40 16M35 32l7-10" />
    </>
  ),
  rug: (
    <>
      <path d="M16 14h40l10 26H6z" fill={PALE} />
      <path d="M20 18h32l7 18H13z" fill={MID} />
      <path d="m36 21 8 6-8 6-8-6z" fill={PALE} />
      <path d="M8 40v4M16 40v4M24 40v4M32 40v4M40 40v4M48 40v4M56 40v4M64 40v4" />
    </>
  ),
  other: (
    <>
      <path d="M10 20h26v25H10z" fill={PALE} />
      <path d="M44 24h18l-3 21H47z" fill={MID} />
      <path d="M18 20c0-6 10-6 10 0M53 24c-8-8-6-16 0-18 6 2 8 10 0 18z" />
    </>
  ),
  cushion: (
    <>
      <path d="M8 12c10 3 20 3 30 0-3 10-3 18 0 28-10-3-20-3-30 0 3-10 3-18 0-28z" fill={MID} />
      <path d="M40 20h24c2 8-4 14 0 22H42c-3-8 2-14-2-22z" fill={PALE} />
      <path d="M46 20c3 8-2 14 1 22M54 20c3 8-2 14 1 22M44 42v4M52 42v4M60 42v4" />
    </>
  ),
  art: (
    <>
      <path d="M10 5h52v38H10z" fill={PALE} />
      <path d="M16 11h40v26H16z" fill="var(--color-paper)" />
      <path d="M16 31c8-10 14-10 20 0 6-14 12-12 20 0v6H16z" fill={MID} />
      <circle cx="47" cy="17" r="3" fill={DEEP} />
    </>
  ),
}

/** A small drawing of a kind of thing that stays. */
export const KindPicture = ({
  kind,
  className,
}: {
  readonly kind: KeeperKind
  readonly className?: string
}) => (
  <svg
    aria-hidden="true"
    viewBox="0 0 72 48"
    className={className}
    fill="none"
    stroke="currentColor"
    strokeWidth="1.25"
    strokeLinecap="round"
    strokeLinejoin="round"
  >
    {PICTURES[kind]}
  </svg>
)
