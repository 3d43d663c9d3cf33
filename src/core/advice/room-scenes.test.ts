import { roomScenes } from './room-scenes.fixture'

// Scenes of the trade (common practice, no published source), handed over as check values. The share may only rise.
test('what the trade says of colours in rooms', () => {
  const scenes = roomScenes()
  const misses = scenes.filter(({ holds }) => !holds)
  expect({ misses, enough: misses.length <= 1 && scenes.length === 19 }).toMatchObject({
    enough: true,
  })
})
