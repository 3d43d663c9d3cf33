import type { KeeperKind, KeeperState } from '../src/core/judge/keeper-kind'
import { PLAIN_BRIEF } from '../src/core/judge/brief'
import type { RoomLamp, RoomWindow } from '../src/core/light/room'
import type { UseHours } from '../src/core/light/room-use'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../src/core/judge/house-rules'
import type { Reason, Verdict } from '../src/core/judge/verdict'
import type { LightSource } from '../src/core/light/light-choice'
import type { Keeper } from '../src/db/keepers'
import type { NewVisit } from '../src/db/visits'
import type { Lab } from '../src/core/colour/lab'

// People, places, finishes and looks here are all invented.

export interface DemoKeeper extends Partial<
  Pick<Keeper, 'place' | 'note' | 'varies' | 'replacedBy' | 'viewShare' | 'dearness'>
> {
  readonly name: string
  readonly kind: KeeperKind
  readonly state: KeeperState
  /** Read from a photo where one was taken of it, else by a reader. */
  readonly photographed?: boolean
  readonly colours: readonly (readonly [part: string, sharePercent: number, lab: Lab])[]
}

type DemoWindow = Partial<RoomWindow> & Pick<RoomWindow, 'bearingDeg'>
type DemoLamp = Partial<RoomLamp>

export interface DemoRoom {
  readonly name: string
  readonly sizeMm: readonly [northSouth: number, eastWest: number, height: number]
  readonly windows: readonly DemoWindow[]
  readonly lamps: readonly DemoLamp[]
  readonly useHours?: UseHours
  /** Names of rooms that are open to or seen from it. */
  readonly seenFrom?: readonly string[]
  readonly keepers: readonly DemoKeeper[]
  readonly looks: readonly DemoLook[]
}

export interface DemoLook {
  readonly code: string
  readonly against: string
  readonly light: LightSource
  /** Clock time as minutes after midnight. */
  readonly minute: number
  readonly verdict: Verdict
  readonly reasons: readonly Reason[]
  readonly note: string
}

export interface DemoVisit {
  readonly household: string
  readonly wishes: string
  readonly willNotHave: string
  readonly houseRules: HouseRules
  readonly brief: Pick<
    NewVisit,
    'wants' | 'contrast' | 'climate' | 'oldPaint' | 'fromMinute' | 'toMinute'
  >
  readonly place: {
    readonly name: string
    readonly latitudeDeg: number
    readonly longitudeDeg: number
    readonly timeZone: string
  }
  readonly date: string
  readonly finished: boolean
  readonly candidates: readonly (readonly [code: string, strengthPercent: number])[]
  readonly rooms: readonly DemoRoom[]
}

const OAK: DemoKeeper = {
  name: 'Oak floor',
  kind: 'floor',
  state: 'staying',
  colours: [['boards', 100, [55, 9, 24]]],
}

const at = (hours: number, minutes = 0): number => hours * 60 + minutes

function look(
  code: string,
  against: string,
  [light, minute]: readonly [LightSource, number],
  verdict: Verdict,
  reasons: readonly Reason[] = [],
  note = '',
): DemoLook {
  return { code, against, light, minute, verdict, reasons, note }
}

const NOON = ['room', at(12)] as const
const LATE = ['room', at(17, 30)] as const
const LAMPS = ['lamps', at(20)] as const

const TERRACE: DemoVisit = {
  household: 'The Orrin-Vale household',
  wishes:
    'Calmer downstairs, cosier in the snug. The kitchen should stop arguing with its counter.',
  willNotHave: 'No grey that looks like a waiting room.',
  houseRules: DEFAULT_HOUSE_RULES,
  brief: {
    ...PLAIN_BRIEF,
    wants: ['calmer', 'cosier'],
    contrast: 'low',
    climate: 'mixed',
    oldPaint: 'yes',
    fromMinute: at(9),
    toMinute: at(18),
  },
  place: { name: 'Tarlow Cross', latitudeDeg: 52.4, longitudeDeg: -1.6, timeZone: 'Europe/London' },
  date: '2026-09-17',
  finished: false,
  candidates: [
    ['B033-4', 75],
    ['H111-4', 75],
    ['C043-1', 100],
    ['E011-4', 75],
    ['H117-4', 50],
    ['G010-1', 100],
  ],
  rooms: [
    {
      name: 'Front room',
      sizeMm: [4200, 4600, 2800],
      windows: [
        {
          bearingDeg: 0,
          widthMm: 1800,
          heightMm: 1600,
          sillMm: 700,
          glazing: 'single',
          opposite: 'trees',
          oppositeDeg: 8,
        },
      ],
      lamps: [{ cctK: 2700, lumens: 1800 }],
      useHours: 'evening',
      keepers: [
        OAK,
        {
          name: 'Slate hearth',
          kind: 'stone',
          state: 'staying',
          colours: [
            ['ground', 80, [38, -1, -3]],
            ['vein', 20, [60, 1, 4]],
          ],
        },
        {
          name: 'Cream picture rail',
          kind: 'trim',
          state: 'paintable',
          colours: [['paint', 100, [91, 0.5, 9]]],
        },
        {
          name: 'Old carpet',
          kind: 'carpet',
          state: 'leaving',
          colours: [['pile', 100, [57, 4, 14]]],
        },
      ],
      looks: [
        look('B033-4', 'Oak floor', NOON, 'works', ['shares the undertone']),
        look(
          'B033-4',
          'Slate hearth',
          NOON,
          'no',
          ['too orange'],
          'The hearth goes blue beside it.',
        ),
        look(
          'C043-1',
          'Oak floor',
          NOON,
          'works',
          ['shares the undertone'],
          'Keeps its warmth even here.',
        ),
        look('C043-1', 'Slate hearth', NOON, 'works'),
        look(
          'C043-1',
          'Cream picture rail',
          NOON,
          'unsure',
          ['too little contrast'],
          'Fine if the rail is painted too.',
        ),
        look('E011-4', 'Oak floor', NOON, 'works', ['shares the undertone']),
        look('E011-4', 'Slate hearth', LAMPS, 'works'),
        look(
          'G010-1',
          'Cream picture rail',
          NOON,
          'no',
          ['too weak'],
          'Looks unfinished against the rail.',
        ),
      ],
    },
    {
      name: 'Kitchen',
      sizeMm: [5200, 3600, 2500],
      windows: [{ bearingDeg: 270, widthMm: 2000, heightMm: 1300 }],
      lamps: [{ cctK: 3000, lumens: 3200 }],
      keepers: [
        {
          name: 'Stone counter',
          kind: 'stone',
          state: 'staying',
          place: 'along the window wall',
          varies: true,
          photographed: true,
          colours: [
            ['ground', 70, [66, 9, 14]],
            ['fleck', 30, [48, 7, 9]],
          ],
        },
        {
          name: 'Blue-white tile',
          kind: 'tile',
          state: 'leaving',
          replacedBy: 'oiled boards',
          colours: [['glaze', 100, [93, -0.6, -3]]],
        },
        OAK,
      ],
      looks: [
        look('B033-4', 'Stone counter', NOON, 'works', ['shares the undertone']),
        look(
          'B033-4',
          'Stone counter',
          LATE,
          'works',
          ['shares the undertone'],
          'Glows with it. They stopped talking.',
        ),
        look('B033-4', 'Oak floor', LATE, 'works'),
        look('H111-4', 'Stone counter', NOON, 'unsure', ['too green']),
        look(
          'H111-4',
          'Stone counter',
          LATE,
          'no',
          ['too green'],
          'Turns to mustard soup in the sun.',
        ),
        look('H117-4', 'Stone counter', NOON, 'no', ['too green']),
        look(
          'C043-1',
          'Stone counter',
          LATE,
          'works',
          ['shares the undertone'],
          'Washes out a little, but kindly.',
        ),
        look('C043-1', 'Oak floor', LAMPS, 'works'),
      ],
    },
    {
      name: 'Basement snug',
      sizeMm: [3600, 4000, 2200],
      windows: [],
      lamps: [{ bulb: 'filament', cctK: 2700, lumens: 1400 }],
      keepers: [
        {
          name: 'Leather sofa',
          kind: 'upholstery',
          state: 'staying',
          colours: [['hide', 100, [36, 14, 18]]],
        },
        {
          name: 'Wool rug',
          kind: 'rug',
          state: 'arriving',
          colours: [
            ['ground', 65, [70, 1, 10]],
            ['stripe', 35, [40, -4, -10]],
          ],
        },
      ],
      looks: [
        look('E011-4', 'Leather sofa', LAMPS, 'works'),
        look(
          'B033-4',
          'Leather sofa',
          LAMPS,
          'works',
          ['shares the undertone'],
          'Warm, nearly peach by lamp.',
        ),
        look(
          'G010-1',
          'Leather sofa',
          LAMPS,
          'works-stronger',
          ['too weak'],
          'Reads as undercoat down here.',
        ),
      ],
    },
    {
      name: 'South bedroom',
      sizeMm: [4000, 3800, 2500],
      windows: [
        { bearingDeg: 180, widthMm: 1500, heightMm: 1400, opposite: 'trees', oppositeDeg: 15 },
      ],
      lamps: [{ cctK: 2700, lumens: 1200, place: 'table' }],
      useHours: 'breakfast',
      keepers: [
        {
          name: 'Madder rug',
          kind: 'rug',
          state: 'staying',
          viewShare: 'much',
          note: 'Her grandmother’s. The room is built up from it.',
          colours: [
            ['field', 54, [50, 20, 13]],
            ['border', 26, [78, 2, 10]],
            ['leaf', 12, [52, -9, 10]],
            ['line', 8, [33, -1, -14]],
          ],
        },
        {
          name: 'Button-back chair',
          kind: 'upholstery',
          state: 'arriving',
          note: 'On approval until the end of the month.',
          colours: [['cloth', 100, [46, -8, 5]]],
        },
        {
          name: 'Linen curtain',
          kind: 'curtain',
          state: 'staying',
          colours: [['weave', 100, [86, 0.5, 7]]],
        },
      ],
      looks: [look('C043-1', 'Linen curtain', NOON, 'works', ['shares the undertone'])],
    },
    {
      name: 'Landing study',
      sizeMm: [3000, 3600, 2500],
      windows: [
        { bearingDeg: 90, widthMm: 1100, heightMm: 1200 },
        { bearingDeg: 270, widthMm: 900, heightMm: 1000, pitchDeg: 40, glazing: 'double-low-e' },
      ],
      lamps: [{ bulb: 'led-80', cctK: 4000, lumens: 1100, place: 'table' }],
      seenFrom: ['South bedroom'],
      keepers: [
        {
          name: 'Sisal carpet',
          kind: 'carpet',
          state: 'staying',
          colours: [['weave', 100, [62, 5, 18]]],
        },
        {
          name: 'Walnut desk',
          kind: 'upholstery',
          state: 'arriving',
          colours: [['top', 100, [34, 11, 16]]],
        },
      ],
      looks: [
        look('E011-4', 'Sisal carpet', NOON, 'works', ['shares the undertone']),
        look('H117-4', 'Sisal carpet', NOON, 'unsure', ['too green']),
      ],
    },
  ],
}

const SOUTHERN: DemoVisit = {
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
  finished: false,
  candidates: [],
  rooms: [
    {
      name: 'Living room',
      sizeMm: [4800, 5600, 2700],
      windows: [
        { bearingDeg: 0, widthMm: 2400, heightMm: 2000 },
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

const FINISHED_LATER: DemoVisit = {
  household: 'Dr Abelard and sons',
  wishes: 'A study to work in until late, and nothing that shows finger marks.',
  willNotHave: 'No blue.',
  houseRules: { ...DEFAULT_HOUSE_RULES, 'north-room': 'lean-in' },
  brief: { ...PLAIN_BRIEF, wants: ['calmer'], climate: 'grey', oldPaint: 'yes' },
  place: { name: 'Garth End', latitudeDeg: 54.6, longitudeDeg: -3.1, timeZone: 'Europe/London' },
  date: '2026-07-02',
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
        look('H117-4', 'Slate floor', NOON, 'works', ['shares the undertone']),
        look('H117-4', 'Oak shelves', LAMPS, 'works', [], 'The pick: quiet by day, warm by lamp.'),
        look('B033-4', 'Slate floor', NOON, 'no', ['too pink']),
      ],
    },
  ],
}

const FINISHED: DemoVisit = {
  household: 'Mrs Quillan',
  wishes: 'One warm off-white for hall and stairs that does not turn yellow.',
  willNotHave: 'Nothing pink.',
  houseRules: DEFAULT_HOUSE_RULES,
  brief: PLAIN_BRIEF,
  place: { name: 'Hollin Mill', latitudeDeg: 53.3, longitudeDeg: -1.7, timeZone: 'Europe/London' },
  date: '2026-05-28',
  finished: true,
  candidates: [
    ['C043-1', 100],
    ['E011-4', 50],
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
        look('C043-1', 'Quarry tiles', ['room', at(9)], 'works', ['shares the undertone']),
        look(
          'C043-1',
          'White doors',
          ['room', at(9)],
          'unsure',
          ['too little contrast'],
          'Doors in the same, one sheen up.',
        ),
        look('E011-4', 'Quarry tiles', ['room', at(9)], 'works'),
        look('E011-4', 'White doors', ['room', at(9)], 'works', [], 'The pick. Doors stay.'),
        look('E011-4', 'White doors', LAMPS, 'works'),
      ],
    },
  ],
}

export const DEMO_VISITS: readonly DemoVisit[] = [TERRACE, SOUTHERN, FINISHED, FINISHED_LATER]
