import { addressOf } from './peer'

const from = (peer: string, forwarded?: string): Headers =>
  new Headers({ 'x-elm-peer': peer, ...(forwarded && { 'x-forwarded-for': forwarded }) })

test.each([
  ['nobody in between', from('192.168.1.20'), [], '192.168.1.20'],
  [
    'what a client says of itself is not believed',
    from('192.168.1.20', '10.0.0.9'),
    [],
    '192.168.1.20',
  ],
  ['a trusted proxy is', from('127.0.0.1', '192.168.1.20'), ['127.0.0.1'], '192.168.1.20'],
  [
    'but only as far as it heard itself',
    from('127.0.0.1', '10.9.9.9, 192.168.1.20'),
    ['127.0.0.1'],
    '192.168.1.20',
  ],
  [
    'through two that are trusted',
    from('::ffff:127.0.0.1', '192.168.1.20, 192.168.1.2'),
    ['127.0.0.1', '192.168.1.2'],
    '192.168.1.20',
  ],
  ['a proxy that says nothing is itself', from('127.0.0.1'), ['127.0.0.1'], '127.0.0.1'],
])('%s', (_, headers, trusted, address) => {
  expect(addressOf(headers, trusted)).toBe(address)
})
