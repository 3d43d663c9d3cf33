import { finite } from '../check'
import type { Exposure } from '../photo/exposure-lock'
import type { Uncertainty } from './reading'

/** What a reading was made with, kept beside it; whatever was not noted is left out. */
export interface ReadingEvidence {
  /** How far it may lie off, where the reading itself has told; else its kind says. */
  readonly uncertainty?: Uncertainty
  /** The card that a photo was taken with. */
  readonly card?: string
  /** The light it was taken in. */
  readonly light?: string
  /** What the camera's balance did. */
  readonly balance?: string
  /** Whether a photo tells lightness, or hue and chroma alone. */
  readonly saysLightness?: boolean
  /** How bright the card came out, and in what light, where that is known. */
  readonly exposure?: Exposure
  /** Whether the kept picture is the corrected one. */
  readonly pictureCorrected?: boolean
  /** What its field of colours was of, where it was matched by eye in one. */
  readonly field?: string
  /** The device, or the file that it came in. */
  readonly device?: string
  /** The light and the eye that its numbers were given for, before they were made D65 and 2°. */
  readonly measuredFor?: string
  /** By the clock of the device, an instant. */
  readonly takenAt?: string
}

const oneDecimal = (value: number): string =>
  (Math.round(10 * finite(value, 'an uncertainty')) / 10).toString()

/** "card and room’s light, balanced by the camera, given for D50, 2°"; empty where nothing was noted. */
export function evidenceWords(evidence: ReadingEvidence): string {
  const { card, light, balance, field, device, measuredFor, saysLightness } = evidence
  return [
    field && `in a field of ${field}`,
    card && `with ${card}`,
    light && `in ${light}`,
    balance,
    saysLightness === false && 'hue and chroma alone: lightness is not told',
    device && `by ${device}`,
    measuredFor && `given for ${measuredFor}`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** "± 1.6, lightness ± 2". */
export const uncertaintyWords = ({ lean, lightness }: Uncertainty): string =>
  `± ${oneDecimal(lean)}, lightness ± ${oneDecimal(lightness)}`
