import { listPlacings } from '../db/placings'
import { listRooms } from '../db/rooms'
import { testDb } from '../db/test-db.fixture'
import { listWhatIfs } from '../db/what-ifs'
import { aHouse, command, empty, idOf, said } from './house.fixture'

const db = testDb()
afterEach(() => empty(db))

let sent = 0
const next = (): number => ++sent

test('a keeper and a lamp are put somewhere in their own room, and back; what is not there is refused', async () => {
  const house = await aHouse(db)
  const { visitId, kitchenId, hallId, stoneId, lampId } = house
  const placing = {
    ...{ eastMm: 500, northMm: -1200, widthMm: 1600, depthMm: 620 },
    ...{ heightMm: 40, fromMm: 880 },
  }
  const put = (roomId: string, thingId: string, where: typeof placing | null) =>
    said(
      db,
      command(next(), 'place-thing', { visitId, roomId, thingId, name: 'It', placing: where }),
    )
  expect(await put(kitchenId, stoneId, placing)).toBe('kept')
  expect(await put(kitchenId, lampId, { ...placing, eastMm: 0 })).toBe('kept')
  expect((await listPlacings(db, visitId)).map(({ thingId, eastMm }) => [thingId, eastMm])).toEqual(
    expect.arrayContaining([
      [stoneId, 500],
      [lampId, 0],
    ]),
  )
  expect(await put(hallId, stoneId, placing)).toBe('That is not in this room, or was removed.')
  expect(await put(kitchenId, idOf(4711), placing)).toMatch(/not in this room/)
  expect(await put(kitchenId, stoneId, { ...placing, widthMm: 0 })).toMatch(/at least 10 mm/)
  expect(await put(kitchenId, stoneId, null)).toBe('kept')
  expect((await listPlacings(db, visitId)).map(({ thingId }) => thingId)).toEqual([lampId])
})

test('a what-if is a proposal: it is kept, changed and taken out, and the room stays as it is', async () => {
  const { visitId, kitchenId } = await aHouse(db)
  const before = await listRooms(db, visitId)
  const lamps = { bulb: 'led-90', cctK: 2700, lumens: 800, place: 'table', count: 2 } as const
  const nothing = { lamps: null, curtain: null, ceiling: null, floor: null, cabinets: null }
  const keep = (change: object, more: object = {}) =>
    said(
      db,
      command(next(), 'keep-what-if', {
        ...{ visitId, roomId: kitchenId, whatIfId: idOf(90), name: 'Two lamps', says: 'Lighter.' },
        ...{ change: { ...nothing, ...change }, removed: false, ...more },
      } as never),
    )
  expect(await keep({ lamps })).toBe('kept')
  expect(await listRooms(db, visitId)).toEqual(before)
  expect(await listWhatIfs(db, visitId)).toEqual([
    {
      ...{ id: idOf(90), roomId: kitchenId, name: 'Two lamps', says: 'Lighter.' },
      change: { ...nothing, lamps },
    },
  ])
  expect(await keep({})).toMatch(/Expected something that is different/)
  expect(await keep({ lamps: { ...lamps, cctK: 900 } })).toMatch(/1800/)
  expect(await keep({ curtain: 'sheer' }, { removed: true })).toBe('kept')
  expect(await listWhatIfs(db, visitId)).toEqual([])
})
