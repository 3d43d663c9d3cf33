import { CARDS, type CardKind } from '@/core/photo/card'
import type { PhotoLight } from '@/core/photo/photo-light'
import type { ReadablePhoto } from '@/core/photo/read-photo'
import type { Unevenness } from '@/core/photo/unevenness'
import type { Palette } from '@/workers/palette-protocol'

const kelvin = (cctK: number): string => `${(Math.round(cctK / 50) * 50).toLocaleString('en-GB')} K`

/** How a photo's light was read, and what contradicts it. */
export function lightWordsOf({ balance, known, shownK, contradicts }: PhotoLight): string {
  if (!known)
    return balance === 'balanced'
      ? 'The camera balanced the light away, and nobody says which it was: so any light of a house is allowed for.'
      : `Light of about ${kelvin(shownK)}, by the card.`
  if (contradicts)
    return `The card looks as in light of about ${kelvin(shownK)}; the light given is of ${kelvin(known.cctK)}. One of them is not so: was another lamp on, or is that not the card?`
  if (balance === 'balanced')
    return `The camera balanced the light away; light of ${kelvin(known.cctK)} was put back.`
  return balance === 'partly balanced'
    ? `The camera balanced a part of the light of ${kelvin(known.cctK)} away; it was put back.`
    : `Light of ${kelvin(known.cctK)}; the camera did not balance.`
}

/** What else there is to know of a reading. */
export function warningsOf(
  { clippedPercent, brighterPercent }: Palette,
  { saysLightness }: ReadablePhoto,
  { share, by, falloff }: Unevenness,
): string[] {
  const percent = Math.round(100 * share)
  return [
    !saysLightness &&
      'With one white card hue and chroma are told, lightness is not: add grey and black, or a black cloth.',
    falloff && `Light that fell off across the photo was taken out; ± ${percent} % of it is left.`,
    by === 'card' &&
      percent > 3 &&
      `The light is uneven by the card’s own spread, ± ${percent} % over the photo: tap one surface in three places to take it out.`,
    brighterPercent >= BRIGHTER_FROM_PERCENT &&
      `${Math.round(brighterPercent)} % of the photo is brighter than the card: it lies in shade, or something glares. Put it in the same light.`,
    clippedPercent >= CLIPPED_FROM_PERCENT &&
      `${Math.round(clippedPercent)} % is clipped and was left out.`,
  ].filter((warning) => warning !== false && warning !== null)
}

/** What the card says of a camera that was not locked; nothing where it was, as far as can be told. */
export const exposureWords = (times: number | null): string[] =>
  times === null
    ? []
    : [
        `The card came out ${(times > 1 ? times : 1 / times).toFixed(1)} times as ${times > 1 ? 'bright' : 'dark'} as the light of this room accounts for, beside the photos before: the camera’s exposure was not locked.`,
      ]

const CLIPPED_FROM_PERCENT = 1
const BRIGHTER_FROM_PERCENT = 4

/** What is to be tapped next. */
export const nextTap = (card: CardKind, tapped: number): string => {
  const patches = CARDS[card].patches
  const name = patches[tapped]!.name
  if (patches.length === 1) return 'Now tap the white card in the photo.'
  return `Now tap the ${name === 'cloth' ? 'black cloth' : `${name} of the card`} in the photo, ${tapped + 1} of ${patches.length}.`
}
