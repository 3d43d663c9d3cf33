import { WHITE_CARD } from '../colour/appearance'
import { flatReflectance, type Reflectance } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'

/** One patch of a card, as it is. */
export interface CardPatch {
  readonly name: 'white' | 'grey' | 'black' | 'cloth'
  readonly reflectance: Reflectance
  /** How far its lightness may lie off, one standard deviation as a share. */
  readonly tolerance: number
}

const white: CardPatch = { name: 'white', reflectance: WHITE_CARD, tolerance: 0.01 }
// Grey and black of a printed card: 18 % and 4 %, flat, common practice.
const grey: CardPatch = { name: 'grey', reflectance: flatReflectance(0.18), tolerance: 0.02 }
const black: CardPatch = { name: 'black', reflectance: flatReflectance(0.04), tolerance: 0.1 }
// Black cloth is anything from 2 to 4 %, common practice.
const cloth: CardPatch = { name: 'cloth', reflectance: flatReflectance(0.03), tolerance: 0.3 }
// Ordinary copying paper is bluish with brightener: L* 94, a* 2, b* −6, common practice.
const paper: CardPatch = {
  name: 'white',
  reflectance: reflectanceOfReading({ kind: 'lab', lab: [94, 2, -6] }),
  tolerance: 0.03,
}

/** What a photo may be taken with, the white first. More patches than one take the camera's curve out. */
export const CARDS = {
  steps: { words: 'a printed card: white, grey, black', patches: [white, grey, black] },
  'card-and-cloth': { words: 'a white card and a black cloth', patches: [white, cloth] },
  card: { words: 'a white card', patches: [white] },
  paper: { words: 'a sheet of printer paper', patches: [paper] },
} as const satisfies Record<
  string,
  { readonly words: string; readonly patches: readonly [CardPatch, ...CardPatch[]] }
>
export type CardKind = keyof typeof CARDS
export const CARD_KINDS = Object.keys(CARDS) as [CardKind, ...CardKind[]]

/** What was tapped is no card: clipped, too dark, in the wrong order, or not near white. */
export class CardError extends RangeError {
  override name = 'CardError'
}
