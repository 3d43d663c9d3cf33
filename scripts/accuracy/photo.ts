import {
  allTrials,
  KEPT_ASIDE,
  LOOKED_AT,
  photoTrials,
  relitMisses,
  quantile,
  shareWithin,
  type Trial,
  type TrialSet,
} from '../../src/core/photo/photo-trials.fixture'
import { TEST_LIGHTS } from '../../src/core/photo/test-cameras.fixture'

const CARDS = ['steps', 'card-and-cloth', 'card'] as const

function line(trials: readonly Trial[]): string {
  const misses = trials.map(({ miss }) => miss)
  return [
    `median ${quantile(misses, 0.5).toFixed(2)}`,
    `90th ${quantile(misses, 0.9).toFixed(2)}`,
    `within ± ${(100 * shareWithin(trials)).toFixed(0)} %`,
    `± lean ${quantile(
      trials.map(({ lean }) => lean),
      0.5,
    ).toFixed(1)}`,
    `lightness ${quantile(
      trials.map(({ lightness }) => lightness),
      0.5,
    ).toFixed(1)}`,
  ].join(', ')
}

/** Photo: camera × light × cards over 24 finishes, of what the reader was tuned by and of what it was not. */
export function printPhoto(): void {
  printSet('tuned by', LOOKED_AT)
  printSet('kept aside', KEPT_ASIDE)
  printRelit()
  const each = (light: string, options: Parameters<typeof photoTrials>[4]): Trial[] =>
    LOOKED_AT.cameras.flatMap((make) => photoTrials(LOOKED_AT, make, light, 'steps', options))
  const lamp = 'LED 2700 K, Ra 80'
  const fixedTo = TEST_LIGHTS.D65
  console.log(`  steps, ${lamp}, camera fixed to daylight: ${line(each(lamp, { fixedTo }))}`)
  console.log(`  steps, ${lamp}, balanced, light not known: ${line(each(lamp, { said: null }))}`)
  console.log(
    `  steps, ${lamp}, fixed to daylight, light not known: ${line(each(lamp, { said: null, fixedTo }))}`,
  )
  console.log(`  steps, D65, balanced, light not known: ${line(each('D65', { said: null }))}`)
}

function printRelit(): void {
  const misses = KEPT_ASIDE.cameras.flatMap((make) =>
    Object.keys(KEPT_ASIDE.scenes).flatMap((light) => relitMisses(KEPT_ASIDE, make, light)),
  )
  console.log(
    `  kept aside, steps, relit into three other lights, ΔE00 on the screen: median ${quantile(misses, 0.5).toFixed(2)}, 90th ${quantile(misses, 0.9).toFixed(2)} of ${misses.length}`,
  )
}

function printSet(title: string, set: TrialSet): void {
  for (const card of CARDS) {
    const all = allTrials(set, card)
    const say = (what: string, trials: readonly Trial[]): void =>
      console.log(
        `  ${title}, ${card}${card === 'card' ? ' (hue and chroma alone)' : ''}, ${what}: ${line(trials)}`,
      )
    for (const light of Object.keys(set.scenes)) {
      const here = all.filter((trial) => trial.light === light)
      for (const { name } of set.cameras)
        say(
          `${light}, ${name}`,
          here.filter(({ camera }) => camera === name),
        )
      say(`${light}, all cameras`, here)
    }
    for (const kind of ['daylight', 'warm LED', 'other'] as const)
      say(
        kind,
        all.filter((trial) => trial.kind === kind),
      )
    say('everything', all)
  }
}
