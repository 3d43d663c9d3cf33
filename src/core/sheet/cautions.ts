import type { HandOff } from './hand-off'

export const CAUTIONS = ['lead', 'ladders', 'wet', 'fittings', 'touch-ups', 'sheens'] as const
export type Caution = (typeof CAUTIONS)[number]

// From here a step ladder does not reach the cornice safely (common practice); local rules decide.
const TALL_FROM_MM = 3000

/** Whether a caution applies to a house. */
function applies(
  caution: Caution,
  { oldPaint, rooms }: Pick<HandOff, 'oldPaint' | 'rooms'>,
): boolean {
  if (caution === 'lead') return oldPaint !== 'no'
  if (caution === 'ladders') return rooms.some(({ heightMm }) => heightMm >= TALL_FROM_MM)
  return true
}

function words(
  caution: Caution,
  { leadBannedYear, rooms }: Pick<HandOff, 'leadBannedYear' | 'rooms'>,
): string {
  switch (caution) {
    case 'lead':
      return (
        `Paint from before lead was banned here (${leadBannedYear ?? 'look the year up locally'}) may hold lead. Have it tested before ` +
        'anything is sanded, scraped or heated; never dry-sand it. Follow local rules, and leave it to licensed people.'
      )
    case 'ladders':
      return `Tall walls (${rooms
        .filter(({ heightMm }) => heightMm >= TALL_FROM_MM)
        .map(({ name }) => name)
        .join(', ')}) want proper access equipment, and someone trained to stand on it.`
    case 'wet':
      return 'Air the room while paint dries. Keep wet boards and open tins from children and pets.'
    case 'fittings':
      return 'Switch off before working round lights and sockets. Do not open fittings: that is for an electrician.'
    case 'touch-ups':
      return 'Touch up by the whole wall, never a spot, and never from a tester. Label what is left by room, surface and date, and keep it.'
    case 'sheens':
      return 'One sheen’s name means different shines in different products: compare dry samples before the tin is opened.'
  }
}

/** The cautions of a sheet that apply to this house, once each. Elm Swatch advises on colour, not on safety. */
export const cautionsOf = (wanted: readonly Caution[], house: HandOff): string[] =>
  CAUTIONS.filter((caution) => wanted.includes(caution) && applies(caution, house)).map((caution) =>
    words(caution, house),
  )

export const ON_SAFETY =
  'Elm Swatch advises on colour, not on safety: local rules and licensed people decide.'
