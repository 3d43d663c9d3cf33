/** What a household may want a room to do. */
export const WANTS = [
  'brighter',
  'cosier',
  'calmer',
  'more drama',
  'fresher',
  'warm, no yellow',
] as const
export type Want = (typeof WANTS)[number]
export const WANT_WORDS: Record<Want, string> = {
  brighter: 'brighter',
  cosier: 'cosier',
  calmer: 'calmer',
  'more drama': 'more drama',
  fresher: 'fresher, more open',
  'warm, no yellow': 'warm, with no yellow in it',
}

/** How much contrast between wall, trim and furnishings they wish for. */
export const CONTRASTS = ['open', 'low', 'high'] as const
export const CONTRAST_WORDS: Record<(typeof CONTRASTS)[number], string> = {
  open: 'Not said',
  low: 'Soft, one thing into the next',
  high: 'Crisp, each thing apart',
}

/** The sky they live under. Rainy and sunny days differ: under a grey sky a colour is looked at on both. */
export const CLIMATES = ['grey', 'mixed', 'sunny'] as const
export const CLIMATE_WORDS: Record<(typeof CLIMATES)[number], string> = {
  grey: 'Mostly grey',
  mixed: 'Mixed',
  sunny: 'Mostly sunny',
}

/** Whether paint from before 1980 may be on the walls. */
export const OLD_PAINT = ['unknown', 'yes', 'no'] as const
export const OLD_PAINT_WORDS: Record<(typeof OLD_PAINT)[number], string> = {
  unknown: 'Not known',
  yes: 'Yes, painted before 1980',
  no: 'No, all newer',
}

/** Shown unless all paint is known to be newer. */
export const OLD_PAINT_CAUTION =
  'Old paint may hold lead: do not dry-sand or scrape it. Have it tested first, follow local rules and use licensed people. ' +
  'Elm Swatch advises on colour, not on safety.'

/** What a home visit needs in the bag; common practice. */
export const KIT = [
  'White card, free of brightener',
  'Fan deck and large swatches',
  'Colour reader, with its white tile',
  'Light meter',
  'Tape and tape measure',
  'Compass',
  'Boards and masking tape',
  'Notebook for what the client says first',
] as const

/** What a visit’s brief holds until somebody says otherwise. */
export const PLAIN_BRIEF = {
  wants: [] as Want[],
  contrast: 'open',
  climate: 'mixed',
  oldPaint: 'unknown',
  fromMinute: 10 * 60,
  toMinute: 11 * 60 + 30,
} as const
