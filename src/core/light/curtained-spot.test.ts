import { CURTAINS, type Curtain } from './fittings'
import { PLAIN_WINDOW, type LitRoom } from './room'
import { roomLights } from './room-light'
import { spotOf, type SpotName } from './spot'

const PLACE = { latitudeDeg: 52, longitudeDeg: 0 }
// 21 March 2026, 12:00 UTC.
const NOON = 1_774_051_200_000 + 12 * 3_600_000
const SPOTS: readonly SpotName[] = ['flat-window', 'flat-back', 'north-middle', 'tilted-middle']

const room = (curtain: Curtain): LitRoom => ({
  northSouthMm: 4500,
  eastWestMm: 4000,
  heightMm: 2600,
  windows: [{ ...PLAIN_WINDOW, bearingDeg: 180, curtain }],
  lamps: [],
})

test.each(Object.keys(CURTAINS) as Curtain[])(
  'under a dull sky a window with %s at it sends every spot its share',
  (curtain) => {
    const at = (hung: Curtain) =>
      roomLights(
        room(hung),
        PLACE,
        { utcMs: NOON, sky: 'overcast', lampsOn: false },
        SPOTS.map(spotOf),
      ).map((light) => light!.illuminanceLux)
    const { transmittance, diffuses } = CURTAINS[curtain]
    const [bare, hung] = [at('none'), at(curtain)]
    // The whole of what comes in scales; a curtain that diffuses shares it out anew between near and far.
    hung.forEach((lux, i) => {
      const share = lux / bare[i]!
      expect(share).toBeGreaterThan(transmittance * (diffuses ? 0.45 : 0.97))
      expect(share).toBeLessThan(transmittance * (diffuses ? 1.9 : 1.03))
    })
    // By the window and at the back, lying flat: what is diffused reaches further in.
    if (diffuses) expect(hung[1]! / hung[0]!).toBeGreaterThan(bare[1]! / bare[0]!)
  },
)
