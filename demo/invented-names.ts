// Halves of made-up words. None is a colour word, and no whole is a word of the language.
const FIRST = [
  'Quil', 'Bram', 'Oster', 'Fenn', 'Tarl', 'Wim', 'Dross', 'Harl', 'Ketter', 'Lorn', 'Mabb', 'Nettle',
  'Orra', 'Pell', 'Rusk', 'Sedd', 'Thrum', 'Ulver', 'Vess', 'Wick', 'Yar', 'Cobb', 'Dunn', 'Ebber',
  'Farrow', 'Gant', 'Hobb', 'Ister', 'Jorr', 'Kell', 'Larrow', 'Mott', 'Nibb', 'Ostle', 'Pottle', 'Quern',
  'Rill', 'Skell', 'Tamm', 'Umbel', 'Varr', 'Whin', 'Yeld', 'Zell',
]
const SECOND = [
  'mere', 'lowe', 'wick', 'combe', 'garth', 'holm', 'stead', 'fold', 'ness', 'croft', 'dale', 'ling',
  'mow', 'rigg', 'side', 'thwaite', 'well', 'worth', 'ham', 'beck', 'ford', 'ley', 'shaw', 'tarn',
  'hythe', 'barrow', 'den', 'gate', 'knoll', 'moor',
]
// Two of the wholes would be, or come close to, somebody's name or a known word.
const LEFT_OUT = new Set(['Farrowham', 'Wickham', 'Dunnham', 'Pelham', 'Bramley', 'Wickford', 'Whinmoor', 'Gantgate', 'Kellham', 'Nettlewell', 'Bramham', 'Wickwell'])

/** As many different invented colour names as asked for. Names mean nothing and rank nothing. */
export function inventedNames(random: () => number, count: number): string[] {
  const all = FIRST.flatMap((first) => SECOND.map((second) => first + second)).filter(
    (name) => !LEFT_OUT.has(name),
  )
  if (count > all.length) throw new RangeError(`at most ${all.length} names, asked for ${count}`)
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[all[i], all[j]] = [all[j]!, all[i]!]
  }
  return all.slice(0, count)
}
