import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { PLAIN_BRIEF } from '../../src/core/advice/brief'
import { look, NOON, LAMPS, type DemoVisit } from './visit-shape'

export const FINISHED_LATER: DemoVisit = {
  household: 'Dr Abelard and sons',
  wishes: 'A study to work in until late, and nothing that shows finger marks.',
  willNotHave: 'No blue.',
  houseRules: { ...DEFAULT_HOUSE_RULES, 'north-room': 'lean-in' },
  brief: { ...PLAIN_BRIEF, wants: ['calmer'], climate: 'grey', oldPaint: 'yes' },
  place: { name: 'Garth End', latitudeDeg: 54.6, longitudeDeg: -3.1, timeZone: 'Europe/London' },
  date: '2026-07-02',
  by: 'Ines Tarrow',
  finished: true,
  candidates: [
    ['H117-4', 50],
    ['B033-4', 75],
  ],
  rooms: [
    {
      name: 'Study',
      sizeMm: [3400, 3900, 2600],
      windows: [
        { bearingDeg: 25, widthMm: 1200, heightMm: 1300, opposite: 'stone', oppositeDeg: 30 },
      ],
      lamps: [{ cctK: 2700, lumens: 1600, bulb: 'led-90' }],
      useHours: 'evening',
      keepers: [
        {
          name: 'Slate floor',
          kind: 'floor',
          state: 'staying',
          colours: [['slabs', 100, [42, -1, -2]]],
        },
        {
          name: 'Oak shelves',
          kind: 'cabinets',
          state: 'staying',
          colours: [['boards', 100, [56, 9, 23]]],
        },
      ],
      looks: [
        look('H117-4', 'Slate floor', NOON, 'works', ['shares-the-undertone']),
        look('H117-4', 'Oak shelves', LAMPS, 'works', [], 'The pick: quiet by day, warm by lamp.'),
        look('B033-4', 'Slate floor', NOON, 'no', ['too-pink']),
      ],
      standing: [
        ['B033-4', 'ruled out', 'Too pink for the slate.'],
        ['H117-4', 'picked'],
      ],
    },
  ],
}
