import { cellsSeen, pairsSeen, type RoomToSee } from './progress'

const kitchen: RoomToSee = {
  id: 'kitchen',
  keeperIds: ['stone', 'floor'],
  candidateIds: ['fawn', 'dun'],
}
const seen = (roomId: string, keeperId: string, candidateId: string) => ({
  roomId,
  keeperId,
  candidateId,
})

test('what was dropped, taken out or is in another room counts nowhere: never nine of eight', () => {
  const looks = [
    seen('kitchen', 'stone', 'fawn'),
    seen('kitchen', 'stone', 'fawn'),
    seen('kitchen', 'rug that left', 'fawn'),
    seen('kitchen', 'stone', 'dropped'),
    seen('hall', 'stone', 'dun'),
  ]
  expect(pairsSeen(kitchen, looks)).toEqual({ seen: 1, of: 4 })
  // A no beside the stone settles the fawn: beside the floor it is not asked about any more.
  expect(pairsSeen({ ...kitchen, settledIds: ['fawn'] }, looks)).toEqual({ seen: 1, of: 3 })
  expect(cellsSeen([kitchen], looks)).toEqual({ seen: 1, of: 2 })
  expect(cellsSeen([], looks)).toEqual({ seen: 0, of: 0 })
})
