import type { Want } from './brief'

// Words of a household and what they wish for by them; what is more special first. Common practice.
const MEANINGS: readonly (readonly [words: RegExp, want: Want])[] = [
  [
    /\bwarm\w*\b[^.;]*\b(?:no|not|without|nothing)\b[^.;]*\byellow\w*|\bno yellow\b[^.;]*\bwarm\w*/,
    'warm, no yellow',
  ],
  [/\b(?:drama\w*|moody|moodier|bold|bolder)\b/, 'more drama'],
  [/\b(?:fresh\w*|airy|airier|more open|crisp)\b/, 'fresher'],
  [/\b(?:calm\w*|quiet\w*|restful|peaceful|serene|soothing)\b/, 'calmer'],
  [/\b(?:cosy|cosier|cozy|cozier|snug|warm|warmer|inviting)\b/, 'cosier'],
  [/\b(?:bright|brighter|lighter|sunny|sunnier)\b/, 'brighter'],
]

// "Nothing bright", "not too dark or moody", "never cosy": what is refused is no wish.
const REFUSED = /\b(?:no|not|nothing|never|without|less|too)\s+(?:\w+\s+){0,2}$/

/** The wishes that plain words of a household say, in the order of the list; empty where none does. */
export function wishesIn(said: string): Want[] {
  let left = said.toLowerCase()
  const found: Want[] = []
  for (const [words, want] of MEANINGS) {
    const match = words.exec(left)
    if (!match || REFUSED.test(left.slice(0, match.index))) continue
    found.push(want)
    // What one wish has read says nothing more.
    left = left.replace(match[0], ' ')
  }
  return found
}

/** What was ticked, and what their own words say besides. */
export const allWishes = (ticked: readonly Want[], said: string): Want[] => [
  ...new Set([...ticked, ...wishesIn(said)]),
]
