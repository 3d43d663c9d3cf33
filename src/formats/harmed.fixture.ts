// What happens to files and to what is sent, and what is done to them on purpose.
const NASTY = [
  '\0',
  '\uFFFF',
  '\u202E',
  '"',
  '""""',
  ',,,,,,,,,',
  ';',
  '\t',
  '\r',
  '\n\n\n',
  '=cmd|x',
  '1e999',
  '-1e-999',
  'NaN',
  'Infinity',
  '9'.repeat(400),
  ' '.repeat(3000),
  '('.repeat(500),
  '[[[[',
  '{"__proto__":1}',
  '__proto__',
  'constructor',
  'null',
  '٣',
  '½',
  'BEGIN_DATA',
  'END_DATA',
  'NUMBER_OF_SETS 99999999',
  '#',
  '\\',
  '../../x',
  'PK\u0003\u0004',
]

type Random = () => number
const upTo = (random: Random, n: number): number => Math.floor(random() * n)

/** A file with one to four things done to it. */
export function harmed(file: Uint8Array, random: Random): Uint8Array {
  let bytes = Buffer.from(file)
  for (let times = upTo(random, 4); times >= 0; times--) {
    const at = upTo(random, bytes.length + 1)
    const to = Math.min(bytes.length, at + upTo(random, 60))
    const nasty = Buffer.from(NASTY[upTo(random, NASTY.length)]!)
    bytes = [
      () => Buffer.concat([bytes.subarray(0, at), nasty, bytes.subarray(at)]),
      () => Buffer.concat([bytes.subarray(0, at), nasty, bytes.subarray(to)]),
      () => bytes.subarray(0, at),
      () => Buffer.concat([bytes.subarray(0, at), bytes.subarray(to)]),
      () => Buffer.concat([bytes.subarray(0, to), bytes.subarray(at)]),
      () => {
        const copy = Buffer.from(bytes)
        if (at < copy.length) copy[at]! ^= 1 << upTo(random, 8)
        return copy
      },
    ][upTo(random, 6)]!()
  }
  return bytes
}
