// Upper bounds of LRV, per cent; common practice.
const BANDS = [
  [4, 'black'],
  [10, 'off-black'],
  [25, 'deep'],
  [45, 'medium'],
  [60, 'medium-light'],
  [72, 'light'],
  [85, 'off-white'],
  [100, 'white'],
] as const

export type LightnessWord = (typeof BANDS)[number][1]

/** What a paint of this LRV is called. */
export function lightnessWord(lrvPercent: number): LightnessWord {
  return BANDS.find(([upTo]) => lrvPercent <= upTo)?.[1] ?? 'white'
}
