/**
 * What older rules of thumb say (common practice, written down one by one) and our ratings do not, by why. The ratings are
 * followed: a rule of thumb says what may happen, a rating how many of ten would have it. Everything else of the rules holds.
 */
export const RATED_OTHERWISE: Readonly<Record<string, readonly string[]>> = {
  'a strong wall is too strong for its depth beside nearly anything, opposite or not': [
    'a coral takes a blonde wood floor',
    'coral with blue-green: contrast, not clash',
    'coral sets off blue-green',
    'terracotta sets off a clear blue',
  ],
  'white and cream woodwork carries most light walls: depth decides before the lean': [
    'it looks dirty beside a clean white',
    'a muted green-grey is a poor friend of them',
    'pink beige clashes with cream trim',
    'near whites of different undertone are a near-miss',
    'two off-whites a shade apart are a near miss as trim',
    'blue-white trim is no friend of a beige',
    'a warm off-white beside blue-white fabric looks dirty',
    'sage cabinets reject a pink beige',
  ],
  'two warm, pale surfaces a step apart share their warmth': [
    'cream does not suit travertine',
    'cream does not suit a pinkish travertine',
    'grey-taupe tile is no friend of a yellow cream',
  ],
  'the same lean at the same depth is no relief, or almost the same': [
    'travertine takes an orange-pink beige',
    'an orange-pink stone takes a pink beige',
    'orange-pink travertine likes pink beige',
    'travertine prefers pink beige to green-tan',
    'violet-flecked stone takes violet taupe',
    'a match is not a stretch failure',
  ],
  'a neutral that leans nowhere is no friend of everything: near in depth it looks dirty, or quarrels':
    [
      'an off-black does not clash with dark oak',
      'neutral grey clashes with nothing muted',
      'warm grey does not clash with travertine',
      'a greige bridges to a cool grey',
    ],
  'a clear colour is no neutral: it sets off what it leans away from, or is left unsure': [
    'an orange-pink stone rejects a green-leaning tan',
    'a violet-flecked stone rejects yellow-green',
    'pink veins in a grey reject green',
    'pink veins in grey reject a mint green',
    'a blue-grey rejects an orange floor',
    'a green-grey carpet is no friend of a dusty pink',
  ],
  'it is named otherwise: a quarrel where a rule says dirty, relief where it says that a stretch fails':
    [
      'and beside blue-white tile',
      'blue-white tile makes yellowish off-white look dirty',
      'stretch: deeper fails',
      'muted sage looks dirty beside clean mint',
      'muted pink looks dirty beside clean pink',
    ],
}

const ALL = new Set(Object.values(RATED_OTHERWISE).flat())

/** Whether ratings are followed where this rule says otherwise. */
export const isRatedOtherwise = (says: string): boolean => ALL.has(says)
