import { exposureMoved } from './exposure-lock'

// A camera: what it shows is exposure × light; whoever locks it keeps the exposure.
const shot = (exposure: number, illuminanceLux: number) => ({
  white: exposure * illuminanceLux,
  illuminanceLux,
})

test('a locked camera shows a dim room dim, and nothing is said', () => {
  const locked = [shot(0.001, 800), shot(0.001, 300)]
  expect(exposureMoved(shot(0.001, 60), locked)).toBeNull()
  // The card lay twice as far from the window as the light was worked out for.
  expect(exposureMoved({ white: 0.03, illuminanceLux: 60 }, locked)).toBeNull()
})

test('a camera that makes every white alike was not locked: it says by how much', () => {
  const bright = shot(0.001, 800)
  expect(exposureMoved({ white: 0.8, illuminanceLux: 100 }, [bright])).toBeCloseTo(8)
  expect(exposureMoved(bright, [{ white: 0.8, illuminanceLux: 100 }])).toBeCloseTo(1 / 8)
})

test('one odd photo among those before does not count; without any nothing can be told', () => {
  const before = [shot(0.001, 500), shot(0.02, 40), shot(0.0011, 300)]
  expect(exposureMoved(shot(0.001, 100), before)).toBeNull()
  expect(exposureMoved(shot(0.02, 40), [])).toBeNull()
})

test('what is no exposure is refused', () => {
  expect(() => exposureMoved(shot(0, 100), [shot(0.001, 100)])).toThrow(/above 0, got 0 and 100/)
  expect(() => exposureMoved(shot(NaN, 1), [shot(1, 1)])).toThrow(/exposure/)
})
