import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { ORDINARY_ROOM } from '../../src/core/advice/ordinary-room.fixture'
import { roomAdvice, saidOf } from '../../src/core/advice/room-advice'
import { prepareLight } from '../../src/core/colour/appearance'
import { daylightSpectrum } from '../../src/core/colour/daylight'
import type { Lab } from '../../src/core/colour/lab'
import { planckianSpectrum } from '../../src/core/colour/planckian'
import { KEEPER_KINDS, kindWords } from '../../src/core/pairing/keeper-kind'
import { pairReading } from '../../src/core/pairing/pair-reading'
import { roleOf } from '../../src/core/pairing/role'
import { lrvPercent } from '../../src/core/paint/lrv'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'
import { seededRandom } from '../../src/core/seeded-random'
import { howItLooks, stillToLook, whyChosen } from '../../src/core/sheet/client-words'
import { DAYLIGHT } from '../../src/core/undertone/daylight'
import { differenceWords } from '../../src/core/undertone/difference-words'
import { nameOf } from '../../src/core/undertone/name'
import { strengthEffect } from '../../src/core/undertone/strength-effect'
import { undertoneOf } from '../../src/core/undertone/undertone'

const EACH = 20
const WHITE_BASE = reflectanceOfReading({ kind: 'lab', lab: [96.2, -0.2, 1.5] })
const random = seededRandom(77)
const noon = prepareLight(daylightSpectrum(6000), 500)
const morning = prepareLight(daylightSpectrum(8000), 300)
const lamps = prepareLight(planckianSpectrum(2700), 150)

const wall = (): Lab => [40 + 54 * random(), 14 * random() - 5, 22 * random() - 6]
const stays = (): Lab => [30 + 64 * random(), 16 * random() - 3, 28 * random() - 4]
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const oneOf = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!

/** Sentences that a computation writes, twenty of each kind, of invented colours: to be read aloud. */
export function computedSentences(): Readonly<Record<string, readonly string[]>> {
  const twenty = (of: () => string | null): string[] => {
    const said = new Set<string>()
    for (let tries = 0; said.size < EACH && tries < 40 * EACH; tries++) {
      const sentence = of()
      if (sentence) said.add(sentence)
    }
    return [...said]
  }
  return {
    'a colour by its name': twenty(() => {
      const paint = surface(wall())
      return nameOf(undertoneOf(noon, paint), lrvPercent(paint)).words
    }),
    'one colour beside another': twenty(() =>
      differenceWords(undertoneOf(noon, surface(wall())), undertoneOf(noon, surface(wall()))),
    ),
    'a pair at the bench': twenty(() => {
      const kind = oneOf(KEEPER_KINDS)
      return pairReading(
        oneOf([noon, lamps]),
        { reflectance: surface(wall()), source: 'maker', strengthPercent: 100 },
        {
          name: kindWords(kind, 'american'),
          role: roleOf(kind, DEFAULT_HOUSE_RULES),
          varies: false,
          colours: [
            {
              part: kindWords(kind, 'american'),
              sharePercent: 100,
              reflectance: surface(stays()),
              source: 'reader',
            },
          ],
        },
      ).sentence
    }),
    'what a room does to a colour': twenty(() => {
      const room = {
        ...ORDINARY_ROOM,
        daylightFactorPercent: oneOf([0, 0.6, 2, 9]),
        coolAndEven: random() < 0.5,
        hasCarpet: random() < 0.3,
      }
      const said = saidOf(roomAdvice(surface(wall()), room, DEFAULT_HOUSE_RULES))
      return said.length > 0 ? `It ${said[0]!.words}.` : null
    }),
    'a mixed strength': twenty(() => {
      const full = surface(wall())
      return strengthEffect(noon, full, atStrength(full, WHITE_BASE, oneOf([75, 50, 25]))).words
    }),
    'a colour on the client’s sheet': twenty(() => {
      const paint = surface(wall())
      return howItLooks(
        'Larkstone',
        lrvPercent(paint),
        [
          { when: 'in the morning', isMidday: false, undertone: undertoneOf(morning, paint) },
          { when: 'at midday', isMidday: true, undertone: undertoneOf(DAYLIGHT, paint) },
          {
            when: 'of an evening, under lamps',
            isMidday: false,
            undertone: undertoneOf(lamps, paint),
          },
        ],
        DEFAULT_HOUSE_RULES,
      )
    }),
    'why it was chosen, and what is left to look at': [
      whyChosen([{ seen: 'on a board', beside: 'Oak floor', light: 'by day' }])!,
      stillToLook(['never under lamps'])!,
      stillToLook(['never on a board', 'by day only under one sky: clear'])!,
    ],
  }
}
