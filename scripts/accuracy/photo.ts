import {
  photoTrials,
  quantile,
  shareWithin,
  type Trial,
} from '../../src/core/photo/photo-trials.fixture'
import { allTrials } from '../../src/core/photo/photo-trials.fixture'
import {
  TEST_CAMERAS,
  TEST_LIGHTS,
  type TestLightName,
} from '../../src/core/photo/test-cameras.fixture'

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

/** Photo: camera × light × cards over 24 finishes. */
export function printPhoto(): void {
  for (const card of CARDS) {
    const all = allTrials(card)
    const aside = card === 'card' ? ' (hue and chroma alone)' : ''
    for (const light of Object.keys(TEST_LIGHTS))
      for (const { name } of TEST_CAMERAS)
        console.log(
          `  ${card}${aside}, ${light}, ${name}: ${line(all.filter((each) => each.light === light && each.camera === name))}`,
        )
    for (const light of Object.keys(TEST_LIGHTS))
      console.log(
        `  ${card}${aside}, ${light}, all cameras: ${line(all.filter((each) => each.light === light))}`,
      )
    const daylight = all.filter(({ light }) => light === 'D65' || light === '5000 K')
    const leds = all.filter(({ light }) => light.startsWith('LED'))
    console.log(`  ${card}${aside}, by daylight: ${line(daylight)}`)
    console.log(`  ${card}${aside}, warm LED, balanced by the camera: ${line(leds)}`)
    console.log(`  ${card}${aside}, everything: ${line(all)}`)
  }
  const each = (light: TestLightName, options: Parameters<typeof photoTrials>[3]): Trial[] =>
    TEST_CAMERAS.flatMap((make) => photoTrials(make, light, 'steps', options))
  console.log(
    `  steps, LED 2700 K Ra 80, camera fixed to daylight: ${line(each('LED 2700 K, Ra 80', { fixedTo: 'D65' }))}`,
  )
  console.log(
    `  steps, LED 2700 K Ra 80, balanced, light not known: ${line(each('LED 2700 K, Ra 80', { said: null }))}`,
  )
  console.log(
    `  steps, LED 2700 K Ra 80, fixed to daylight, light not known: ${line(each('LED 2700 K, Ra 80', { said: null, fixedTo: 'D65' }))}`,
  )
  console.log(`  steps, D65, balanced, light not known: ${line(each('D65', { said: null }))}`)
}
