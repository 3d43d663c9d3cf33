import { namesInVisit } from '../db/commands'
import { listKeepers } from '../db/keepers'
import { listRooms } from '../db/rooms'
import {
  addDeckColours,
  beginDeck,
  deckStatus,
  discardDeck,
  keepBands,
  layDeckIn,
  listBands,
  listDeckColours,
  listDecks,
  listNamesakes,
  type NewDeckColour,
} from '../db/decks'
import { testDb } from '../db/test-db.fixture'
import { aHouse, command, done, empty, idOf, keeper, said } from './house.fixture'

const db = testDb()
afterEach(() => empty(db))

const WAVELENGTHS = Array.from({ length: 31 }, (_, i) => 400 + 10 * i)
const colour = (code: string, change: Partial<NewDeckColour> = {}): NewDeckColour => ({
  code,
  name: `Name ${code}`,
  strip: 'S',
  base: 'white',
  reading: { kind: 'lab', lab: [80, 1, 2] },
  ...change,
})
const head = { maker: 'Oddney', name: 'Fan', whiteBase: [96, 0, 1] } as const

test('a deck keeps what was read and what its maker prints, strip by strip as it came', async () => {
  const bytes = new Uint8Array(Float32Array.from({ length: 36 }, (_, i) => i / 40).buffer)
  await beginDeck(db, idOf(1), head)
  await addDeckColours(db, idOf(1), [
    colour('A', { strip: 'T', printedLrvPercent: 61.5, sheens: ['matt', 'satin'] }),
    colour('B', { mayBeRefused: true, bands: { of: '13', bytes } }),
  ])
  const spectral = {
    kind: 'spectral' as const,
    wavelengthsNm: WAVELENGTHS,
    reflectance: WAVELENGTHS.map((nm) => nm / 1000),
  }
  // Some at a time: a strip goes on where it was.
  await addDeckColours(db, idOf(1), [colour('C', { reading: spectral }), colour('A')])
  expect(await listDecks(db)).toEqual([])
  expect(await deckStatus(db, idOf(1))).toBe('importing')
  await done(db, 'open-deck', { deckId: idOf(1), maker: 'Oddney', name: 'Fan', colours: 3 })
  expect(await deckStatus(db, idOf(1))).toBe('ready')
  const colours = await listDeckColours(db, idOf(1))
  expect(colours.map(({ code, strip }) => [code, strip])).toEqual([
    ['B', 'S'],
    ['C', 'S'],
    ['A', 'T'],
  ])
  expect(colours[1]!.reading).toEqual(spectral)
  expect(colours[0]).toMatchObject({ mayBeRefused: true, printedLrvPercent: null, sheens: null })
  expect(colours[2]).toMatchObject({ printedLrvPercent: 61.5, sheens: ['matt', 'satin'] })

  // What one model found is not another's.
  const bands = await listBands(db, idOf(1), '13')
  expect(bands.map((each) => each.bands && [...each.bands])).toEqual([[...bytes], null, null])
  expect((await listBands(db, idOf(1), '14')).every((each) => each.bands === null)).toBe(true)
  await keepBands(
    db,
    '14',
    bands.map(({ deckColourId }) => ({ deckColourId, bands: bytes })),
  )
  expect((await listBands(db, idOf(1), '14')).map((each) => each.bands?.length)).toEqual([
    144, 144, 144,
  ])
})

test('a deck that is given up leaves nothing, and one that is begun again begins at nothing', async () => {
  await layDeckIn(db, idOf(1), head, [colour('A')])
  await layDeckIn(db, idOf(1), head, [colour('B')])
  await discardDeck(db, idOf(1))
  expect(await deckStatus(db, idOf(1))).toBeNull()
  const opened = { deckId: idOf(1), maker: 'Oddney', name: 'Fan', colours: 1 }
  expect(await said(db, command(1, 'open-deck', opened))).toMatch(/some are missing/)
})

test('one name in two decks is two paints, whatever case it is written in', async () => {
  await layDeckIn(db, idOf(1), head, [colour('A', { name: 'Quilmere' }), colour('B')])
  await done(db, 'open-deck', { deckId: idOf(1), maker: 'Oddney', name: 'Fan', colours: 2 })
  expect((await listNamesakes(db, 5)).count).toBe(0)
  await layDeckIn(db, idOf(2), { ...head, name: 'Other' }, [colour('Z', { name: 'QUILMERE' })])
  // On its way it is nobody's yet.
  expect((await listNamesakes(db, 5)).count).toBe(0)
  await done(db, 'open-deck', { deckId: idOf(2), maker: 'Oddney', name: 'Other', colours: 1 })
  const { count, pairs } = await listNamesakes(db, 5)
  expect(count).toBe(1)
  expect(pairs.map((pair) => pair.map(({ deckName, code }) => [deckName, code]))).toEqual([
    [
      ['Fan', 'A'],
      ['Other', 'Z'],
    ],
  ])
})

test('in sentences a paint goes with maker and deck where another deck has its name', async () => {
  const house = await aHouse(db)
  expect((await namesInVisit(db, house.visitId)).get(house.candidateId)).toBe('Oneling at 75 %')
  await layDeckIn(db, idOf(1), head, [colour('A', { name: 'ONELING' })])
  // On its way it is nobody's yet.
  expect((await namesInVisit(db, house.visitId)).get(house.candidateId)).toBe('Oneling at 75 %')
  await done(db, 'open-deck', { deckId: idOf(1), maker: 'Oddney', name: 'Fan', colours: 1 })
  const names = await namesInVisit(db, house.visitId)
  expect(names.get(house.candidateId)).toBe('Oneling (Maker 1, Fan) at 75 %')
  expect(names.get(house.colourIds[0]!)).toBe('Oneling (Maker 1, Fan)')
})

test('a finish is matched by eye to a paint that was read as a spectrum', async () => {
  const house = await aHouse(db)
  const reading = {
    kind: 'spectral' as const,
    wavelengthsNm: WAVELENGTHS,
    reflectance: WAVELENGTHS.map(() => 0.25),
  }
  await layDeckIn(db, idOf(1), head, [colour('S', { reading })])
  const [paint] = await listDeckColours(db, idOf(1))
  const colours = [
    { part: 'paint', sharePercent: 100, deckColourId: paint!.deckColourId, shift: [] },
  ]
  await done(
    db,
    'keep-keeper',
    keeper(house.visitId, house.kitchenId, idOf(2), 'Shelf', { colours }),
  )
  const shelf = (await listKeepers(db, house.visitId)).find(({ name }) => name === 'Shelf')
  expect(shelf!.colours[0]!.reading).toEqual(reading)
})

test('none of a lean: out of one room at once, once however often it is said, and in again', async () => {
  const house = await aHouse(db)
  const lean = {
    visitId: house.visitId,
    roomId: house.kitchenId,
    lean: 'pink',
    strong: false,
  } as const
  const outOf = async () =>
    Object.fromEntries(
      (await listRooms(db, house.visitId)).map(({ name, ruledOutLeans }) => [name, ruledOutLeans]),
    )
  await done(db, 'rule-out-lean', { ...lean, out: true })
  await done(db, 'rule-out-lean', { ...lean, out: true })
  await done(db, 'rule-out-lean', { ...lean, strong: true, out: true })
  expect(await outOf()).toEqual({
    Kitchen: [
      { lean: 'pink', strong: false },
      { lean: 'pink', strong: true },
    ],
    Hall: [],
  })
  await done(db, 'rule-out-lean', { ...lean, out: false })
  expect((await outOf()).Kitchen).toEqual([{ lean: 'pink', strong: true }])
  const foreign = await aHouse(db, 2)
  expect(
    await said(db, command(1, 'rule-out-lean', { ...lean, roomId: foreign.kitchenId, out: true })),
  ).toMatch(/not in this visit/)
})
