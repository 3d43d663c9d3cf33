import { prepareLight, screenColour, screenColoursTogether } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import { xyzUnder } from '../colour/observer'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { drawnUndertone, seenLine, seenWords, undertoneOnScreen } from './drawn'
import { hueApartDeg } from './undertone'

const day = prepareLight(daylightSpectrum(6504), 600)
const lamps = prepareLight(ledSpectrum(2700, 82), 150)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })

test('the first word is for what is drawn: a grey under yellowish lamps is drawn beige and called so', () => {
  const grey = surface([84, 0, 0])
  const { drawn, onCard } = seenWords(lamps, grey)
  expect(drawn).toMatch(/beige|greige|cream|off-white, .*(orange|yellow)|tan|sand/)
  expect(onCard).toBe('no undertone')
  expect(seenLine({ drawn, onCard })).toMatch(
    /^reads .*; beside a white card in this light, no undertone$/,
  )
  // By daylight the two are one, and said once.
  expect(seenWords(day, grey).onCard).toBeNull()
  expect(seenLine(seenWords(day, grey))).not.toMatch(/reads|beside/)
})

test('a neutral says its undertone in one relative word, once', () => {
  const line = (lab: Lab) => seenLine(seenWords(day, surface(lab)))
  expect(line([93, -0.6, -3])).toBe('very light grey, blue undertone')
  expect(line([70, 0, 0])).toMatch(/^\S+ grey, no undertone$/)
  expect(line([62, 6, 13])).toMatch(/(beige|tan|taupe).*, (clearly )?(pink|orange)( undertone)?$/)
  // A colour is its own undertone.
  expect(line([46, 50, 30])).toBe('deep red')
})

test('the words and the picture lean the same way', () => {
  for (const lab of [
    [84, 0, 0],
    [72, 0, 0],
    [80, -1.5, -9],
    [70, 6, 12],
    [60, -9, 6],
  ] as Lab[])
    for (const light of [day, lamps]) {
      const said = drawnUndertone(light, surface(lab))
      const shown = undertoneOnScreen(screenColour(light, surface(lab)))
      if (said.c < 2) expect(shown.c).toBeLessThan(3)
      else expect(hueApartDeg(said.hueDeg, shown.hueDeg)).toBeLessThan(12)
    }
})

test('yellowish lamps take blue from a blue, greenish ones turn it towards aqua', () => {
  // Common practice.
  const blue = surface([70, -2, -18])
  const [byDay, byLamp] = [day, lamps].map((light) => drawnUndertone(light, blue))
  expect(byLamp!.b).toBeGreaterThan(byDay!.b + 3)
  const spectrum = ledSpectrum(4000, 80)
  // More power between 500 and 570 nm: a tube that has gone green.
  const greenish = prepareLight(
    spectrum.map((power, i) => power * (i >= 24 && i <= 38 ? 1.25 : 1)),
    150,
  )
  const byGreen = drawnUndertone(greenish, blue)
  expect(byGreen.a).toBeLessThan(drawnUndertone(prepareLight(spectrum, 150), blue).a - 1)
})

test('side by side two swatches differ by their eyes and by nothing else', () => {
  const beige = surface([80, 5, 12])
  const dim = { ...day, exposure: 0.6 }
  const [one, two] = screenColoursTogether([
    { light: day, xyz: xyzUnder(day.weights, beige) },
    { light: dim, xyz: xyzUnder(dim.weights, beige) },
  ])
  expect(one).toEqual(two)
})
