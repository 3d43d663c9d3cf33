import { exposureWords } from './photo-words'

test('a camera that was not locked is told by how much, and one that was is not mentioned', () => {
  expect(exposureWords(null)).toEqual([])
  expect(exposureWords(3.21)[0]).toMatch(/3\.2 times as bright .* was not locked/)
  // Darker reads as so many times darker, never as a share.
  expect(exposureWords(0.25)[0]).toMatch(/4\.0 times as dark/)
})
