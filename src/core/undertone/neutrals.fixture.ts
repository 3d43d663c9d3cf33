import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading, type PlainReading } from '../paint/reading'
import tradeScenes from '../pairing/trade-scenes.fixture.json'
import { nameOf } from './name'
import neutrals from './neutrals.fixture.json'
import { undertoneName } from './plain-name'
import { undertoneOf } from './undertone'

// Constructed neutrals and what the trade would accept as their names (common practice, no published source).

export interface NamedNeutral {
  readonly id: string
  readonly undertoneHolds: boolean
  readonly familyHolds: boolean
  readonly said: string
}

const NOON = prepareLight(daylightSpectrum(6504), 800)

function named(
  id: string,
  reading: PlainReading,
  undertones: readonly string[],
  families: readonly string[],
): NamedNeutral {
  const surface = reflectanceOfReading(reading)
  const undertone = undertoneOf(NOON, surface)
  const { name, second, words } = nameOf(undertone, lrvPercent(surface))
  const lean = undertoneName(undertone)
  return {
    id,
    undertoneHolds: undertones.length === 0 || undertones.some((each) => each.includes(lean)),
    familyHolds: [name, second].some((each) => each !== null && families.includes(each)),
    said: `${lean}; ${words}`,
  }
}

/** The 39 neutrals. */
export const constructedNeutrals = (): NamedNeutral[] =>
  neutrals.cases.map(({ id, hex, undertone, family }) =>
    named(id, { kind: 'srgb', hex }, undertone, family),
  )

/** The 4 names of the trade's scenes. */
export const sceneNames = (): NamedNeutral[] =>
  tradeScenes.names.map(({ says, colour, undertone, family }) =>
    named(says, { kind: 'lab', lab: colour as unknown as Lab }, undertone ?? [], family),
  )
