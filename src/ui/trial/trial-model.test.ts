import type { Lab } from '@/core/colour/lab'
import { reflectanceOfReading } from '@/core/paint/reading'
import { offBlackWords } from './trial-model'

const said = (lab: Lab): string => offBlackWords(reflectanceOfReading({ kind: 'lab', lab }))

test('every off-black is looked at outdoors and under lamps: out there it is bluer, or a warm one greyer', () => {
  // Common practice.
  for (const lab of [
    [20, 0, -2],
    [22, -2, 1],
    [25, 2, 2],
    [28, 0, 0],
  ] as const) {
    expect(said([...lab])).toMatch(/(bluer|greyer).* beside how it looks under lamps/)
  }
  expect(said([50, 0, 0])).toBe('')
})
