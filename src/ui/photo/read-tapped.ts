import { xyzFromLinearRgb } from '@/core/colour/srgb'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { isOfASurface } from '@/core/paint/reading'
import { CardError, CARDS, type CardKind } from '@/core/photo/card'
import { exposureMoved, type Exposure } from '@/core/photo/exposure-lock'
import { photoLight, type PhotoLight } from '@/core/photo/photo-light'
import { tappedSpot, type PhotoBytes, type Square } from '@/core/photo/pixels'
import { shownOf, type ReadablePhoto, type Shown } from '@/core/photo/read-photo'
import { evened, unevennessByCard, unevennessByRepeats } from '@/core/photo/unevenness'
import { paletteInWorker, RefusedCard } from '@/workers/palette-client'
import type { FoundColour } from './found-colours'
import { exposureWords, lightWordsOf, warningsOf } from './photo-words'
import type { SaidLight } from './taken-in'

const MOST_FOUND = 14
export const MOST_KEPT = 5
// What a camera makes of a card, where there is none to ask, and how far off that may be.
const NO_CARD: Shown = [0.82, 0.82, 0.82]
const WITHOUT_CARD = { lean: 10, lightness: 12 } as const

/** A photo whose card was tapped and read, or which has none. */
export interface Reading {
  /** What was read, evened where it was. */
  readonly photo: PhotoBytes
  readonly readable: ReadablePhoto
  readonly evidence: ReadingEvidence
  readonly hasCard: boolean
}

export interface Tapped {
  readonly card: CardKind
  /** The patches of the card in its order; none where there is no card. */
  readonly patches: readonly Square[]
  /** Several places of one surface, to even the light out by. */
  readonly repeats: readonly Square[] | null
}

/**
 * Reads a photo by what was tapped in it: its light, its evenness, its colours.
 *
 * @returns why not, in words; null where it was stopped
 */
export async function readTapped(
  whole: PhotoBytes,
  { card, patches, repeats }: Tapped,
  light: Extract<SaidLight, { ok: true }>,
  exposuresBefore: readonly Exposure[],
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<{ reading: Reading; found: readonly FoundColour[]; words: string } | string | null> {
  const uneven =
    repeats && repeats.length > 1
      ? unevennessByRepeats(whole, repeats)
      : patches[0]
        ? unevennessByCard(whole, patches[0])
        : { share: 0.05, by: 'card' as const, falloff: null }
  const photo = uneven.falloff ? evened(whole, uneven.falloff) : whole
  const taking = lightOrRefusal(photo, patches, light.spectrum)
  if (typeof taking === 'string') return taking
  const hasCard = patches.length > 0
  const palette = await paletteInWorker(
    {
      photo,
      light: taking,
      card: hasCard ? card : 'card',
      shown: hasCard ? patches.map((square) => shownOf(tappedSpot(photo, square).mean)) : [NO_CARD],
      squares: patches,
      unevenness: uneven.share,
    },
    onProgress,
    signal,
  ).catch((error: unknown) => (error instanceof RefusedCard ? error : undefined))
  if (palette === null) return null
  if (palette === undefined) return 'The colours could not be found. Tap the card again.'
  if (palette instanceof RefusedCard) return palette.message
  const { readable } = palette
  const exposure =
    patches[0] && light.illuminanceLux
      ? { white: whiteOf(whole, patches[0]), illuminanceLux: light.illuminanceLux }
      : null
  return {
    reading: {
      photo,
      readable,
      hasCard,
      evidence: {
        light: light.words,
        saysLightness: readable.saysLightness,
        pictureCorrected: hasCard,
        ...(exposure && { exposure }),
        ...(hasCard && { card: CARDS[card].words, balance: balanceWords(taking) }),
        takenAt: new Date().toISOString(),
      },
    },
    found: palette.colours
      .filter(({ lab }) => isOfASurface(lab))
      .slice(0, MOST_FOUND)
      .map((each, i) => ({ ...sure(each, hasCard), counts: i < MOST_KEPT })),
    words: hasCard
      ? [
          'Shown corrected.',
          lightWordsOf(taking),
          ...warningsOf(palette, readable, uneven),
          ...exposureWords(exposure && exposureMoved(exposure, exposuresBefore)),
        ].join(' ')
      : 'Not corrected: without a card the colours may be off by ten units and more.',
  }
}

/** How bright the white of the card came out, linear, a share of what the camera can show. */
const whiteOf = (photo: PhotoBytes, square: Square): number =>
  xyzFromLinearRgb(tappedSpot(photo, square).mean)[1] / 100

/** The light of a photo by its card, or why what was tapped is none; without a card the light that is known. */
function lightOrRefusal(
  photo: PhotoBytes,
  squares: readonly Square[],
  known: PhotoLight['lights'][number] | null,
): PhotoLight | string {
  try {
    return photoLight(squares[0] ? tappedSpot(photo, squares[0]).mean : [0.6, 0.6, 0.6], known)
  } catch (error) {
    if (!(error instanceof CardError)) throw error
    return error.message
  }
}

/** Without a card nothing is surer than a guess. */
export const sure = <Colour extends { readonly uncertainty: FoundColour['uncertainty'] }>(
  colour: Colour,
  hasCard: boolean,
): Colour => (hasCard ? colour : { ...colour, uncertainty: WITHOUT_CARD })

const balanceWords = ({ balance, contradicts }: PhotoLight): string =>
  contradicts
    ? 'at odds with its card'
    : {
        balanced: 'balanced by the camera',
        'as the light fell': 'not balanced',
        'partly balanced': 'partly balanced',
      }[balance]
