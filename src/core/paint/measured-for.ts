import { ILLUMINANTS, type IlluminantName } from '../colour/illuminant'
import type { Lab } from '../colour/lab'
import type { Observer } from '../colour/observer'
import type { Xyz } from '../colour/spectrum'
import { labD65, reflectanceOfReading, type PlainReading } from './reading'

const OBSERVERS = ['2deg', '10deg'] as const satisfies readonly Observer[]

/** The light and the eye that a number was given for: "D50 2deg". */
export type MeasuredForName = `${IlluminantName} ${Observer}`
export const MEASURED_FOR = ILLUMINANTS.flatMap((illuminant) =>
  OBSERVERS.map((observer): MeasuredForName => `${illuminant} ${observer}`),
) as unknown as readonly [MeasuredForName, ...MeasuredForName[]]
/** What this application's own numbers are for. */
export const OWN: MeasuredForName = 'D65 2deg'

export const isMeasuredFor = (text: string): text is MeasuredForName =>
  (MEASURED_FOR as readonly string[]).includes(text)

/** The light and the eye of a name, apart. */
export function partsOfName(name: MeasuredForName): {
  readonly illuminant: IlluminantName
  readonly observer: Observer
} {
  const [illuminant, observer] = name.split(' ') as [IlluminantName, Observer]
  return { illuminant, observer }
}

/** "D50, 2°". */
export function measuredForWords(name: MeasuredForName): string {
  const { illuminant, observer } = partsOfName(name)
  return `${illuminant}, ${observer === '2deg' ? '2°' : '10°'}`
}

/**
 * A number given for a light and an eye as one for D65 and 2°: by the reflectance behind it, not by adapting white to
 * white. One given for D65 and 2° stays as it is.
 *
 * @throws RangeError for numbers outside the scale, ImpossibleColourError for a colour no paint has
 */
export function forDaylight(
  given: { readonly kind: 'lab'; readonly lab: Lab } | { readonly kind: 'xyz'; readonly xyz: Xyz },
  name: MeasuredForName,
): Extract<PlainReading, { kind: 'lab' }> {
  if (given.kind === 'lab' && name === OWN) return given
  return { kind: 'lab', lab: labD65(reflectanceOfReading({ ...given, ...partsOfName(name) })) }
}
