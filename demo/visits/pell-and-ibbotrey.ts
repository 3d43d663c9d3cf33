import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { PLAIN_BRIEF } from '../../src/core/advice/brief'
import type { DemoVisit } from './visit-shape'

export const SOUTHERN: DemoVisit = {
  household: 'Pell and Ibbotrey',
  wishes: 'Light without glare on the sunny side. Something quiet for the room at the back.',
  willNotHave: '',
  houseRules: DEFAULT_HOUSE_RULES,
  brief: PLAIN_BRIEF,
  place: {
    name: 'Port Wirrin',
    latitudeDeg: -38.1,
    longitudeDeg: 144.6,
    timeZone: 'Australia/Melbourne',
  },
  date: '2026-12-03',
  by: 'Ines Tarrow',
  finished: false,
  candidates: [],
  rooms: [
    {
      name: 'Living room',
      sizeMm: [4800, 5600, 2700],
      windows: [
        { bearingDeg: 0, widthMm: 2400, heightMm: 2000, sillMm: 300 },
        { bearingDeg: 270, widthMm: 1200, heightMm: 1400 },
      ],
      lamps: [{ cctK: 3000, lumens: 2400 }],
      keepers: [
        {
          name: 'Gum floor',
          kind: 'floor',
          state: 'staying',
          colours: [['boards', 100, [48, 14, 20]]],
        },
      ],
      looks: [],
    },
    {
      name: 'Back study',
      sizeMm: [3200, 3400, 2700],
      windows: [{ bearingDeg: 180, widthMm: 1200, heightMm: 1200 }],
      lamps: [{ cctK: 4000, lumens: 1600 }],
      keepers: [],
      looks: [],
    },
  ],
}
