import { isPrintedOff } from './lrv'

test('a printed LRV more than 3 off the reading is pointed out, either way', () => {
  expect([47, 53, 50].map((printed) => isPrintedOff(printed, 50))).toEqual([false, false, false])
  expect([46.9, 53.1].map((printed) => isPrintedOff(printed, 50))).toEqual([true, true])
})
