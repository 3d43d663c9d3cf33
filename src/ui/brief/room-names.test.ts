import { roomNames } from './room-names'

test.each([
  ['kitchen', ['Kitchen']],
  [' kitchen, upper hall ;study,, ', ['Kitchen', 'Upper hall', 'Study']],
  [' , ', []],
  ['', []],
])('%j names %j', (typed, names) => expect(roomNames(typed, [])).toEqual({ names, twice: null }))

test('a room that is there already, or is named twice, keeps all of them back', () => {
  expect(roomNames('Study, kitchen', ['Kitchen'])).toEqual({ names: [], twice: 'Kitchen' })
  expect(roomNames('Study, study', [])).toEqual({ names: [], twice: 'Study' })
  expect(roomNames('x'.repeat(200), []).names[0]).toHaveLength(80)
})
