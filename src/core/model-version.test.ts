import { createHash } from 'node:crypto'
import { prepareLight } from './colour/appearance'
import { daylightSpectrum } from './colour/daylight'
import { planckianSpectrum } from './colour/planckian'
import { DEFAULT_HOUSE_RULES } from './advice/house-rules'
import { MODEL_VERSION } from './model-version'
import { pairReading } from './pairing/pair-reading'
import { KEEPER_KINDS } from './pairing/keeper-kind'
import { roleOf } from './pairing/role'
import { reflectanceOfReading } from './paint/reading'

/** What the model says of many pairs in two lights, to two decimals, as one hash. */
function everythingSaid(): string {
  const lights = [
    prepareLight(daylightSpectrum(6504), 500),
    prepareLight(planckianSpectrum(2700), 150),
  ]
  const said: string[] = []
  for (const light of lights)
    for (const [k, kind] of KEEPER_KINDS.entries())
      for (let n = 0; n < 12; n++) {
        const wall = [55 + 3 * n, 5 - n, 14 - 1.5 * n] as const
        const step = k % 10
        const finish = [30 + 6 * step, 8 - 2 * step, 18 - 3 * step] as const
        const { judgement, chance, sentence } = pairReading(
          light,
          {
            strengthPercent: 100,
            reflectance: reflectanceOfReading({ kind: 'lab', lab: [...wall] }),
            source: 'maker',
          },
          {
            name: 'it',
            varies: false,
            role: roleOf(kind, DEFAULT_HOUSE_RULES),
            colours: [
              {
                part: 'all',
                sharePercent: 100,
                reflectance: reflectanceOfReading({ kind: 'lab', lab: [...finish] }),
                source: 'reader',
              },
            ],
          },
        )
        said.push(`${judgement} ${chance.toFixed(2)} ${sentence}`)
      }
  return createHash('sha256').update(said.join('\n')).digest('hex').slice(0, 16)
}

// A look keeps what the model said with its version: where this fails, a judgement changed, and the version goes up with it.
test('the version names what the model says', () => {
  expect(`${MODEL_VERSION} ${everythingSaid()}`).toBe('14 95ee1978cdb8ccdf')
})
