import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { PLAIN_BRIEF } from '../../src/core/advice/brief'
import { at, look, LAMPS, type DemoVisit } from './visit-shape'

export const FINISHED: DemoVisit = {
  household: 'Mrs Quillan',
  wishes: 'One warm off-white for hall and stairs that does not turn yellow.',
  willNotHave: 'Nothing pink.',
  houseRules: DEFAULT_HOUSE_RULES,
  brief: PLAIN_BRIEF,
  place: { name: 'Hollin Mill', latitudeDeg: 53.3, longitudeDeg: -1.7, timeZone: 'Europe/London' },
  date: '2026-05-28',
  by: 'Ines Tarrow',
  finished: true,
  candidates: [
    ['C043-1', 100],
    ['E011-4', 50],
    ['G001-1', 100],
  ],
  rooms: [
    {
      name: 'Hall',
      sizeMm: [6200, 1900, 2900],
      windows: [{ bearingDeg: 95, widthMm: 900, heightMm: 1200 }],
      lamps: [{ cctK: 2700, lumens: 1600 }],
      keepers: [
        {
          name: 'Quarry tiles',
          kind: 'tile',
          state: 'staying',
          colours: [['tile', 100, [42, 22, 22]]],
        },
        {
          name: 'White doors',
          kind: 'trim',
          state: 'staying',
          colours: [['paint', 100, [94, 0, 1.5]]],
        },
      ],
      looks: [
        look('C043-1', 'Quarry tiles', ['room', at(9)], 'works', ['shares-the-undertone']),
        look(
          'C043-1',
          'White doors',
          ['room', at(9)],
          'unsure',
          ['too-little-contrast'],
          'Doors in the same, one sheen up.',
        ),
        look('E011-4', 'Quarry tiles', ['room', at(9)], 'works'),
        look('E011-4', 'White doors', ['room', at(9)], 'works', [], 'The pick. Doors stay.'),
        look('E011-4', 'White doors', LAMPS, 'works'),
      ],
      standing: [['E011-4', 'picked']],
      alsoPainted: [['G001-1', 'ceiling', 'matt', true]],
    },
  ],
}
