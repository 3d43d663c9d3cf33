/** One way of a school to answer a question. */
interface School {
  /** The school in a few words. */
  readonly label: string
  /** What it holds, in a sentence. */
  readonly says: string
}

interface HouseRule {
  readonly question: string
  readonly schools: Readonly<Record<string, School>>
  readonly default: string
  readonly why: string
}

/**
 * Where practitioners differ (common practice): each a setting per visit, with a default. Every piece of
 * advice names the rule it used.
 */
export const HOUSE_RULES = {
  'green-grey': {
    question: 'Is a green-grey warm or cool?',
    schools: {
      neither: { label: 'Say neither', says: 'Name the direction and compare it to the keeper.' },
      warm: { label: 'Warm', says: 'Green holds yellow, so a green-grey counts as warm.' },
      cool: { label: 'Cool', says: 'Green holds blue, so a green-grey counts as cool.' },
    },
    default: 'neither',
    why: 'The direction settles what the word leaves open.',
  },
  'north-room': {
    question: 'A cool, even room',
    schools: {
      'warm-up': { label: 'Warm it up', says: 'Cool leans step back; a creamy lean comes first.' },
      'lean-in': {
        label: 'Lean into the cool',
        says: 'The light is cool anyway: warm leans step back.',
      },
      'no-whites': {
        label: 'No whites at all',
        says: 'Off-whites and whites go dingy there and step back.',
      },
    },
    default: 'warm-up',
    why: 'The commonest advice; the others stay one tap away.',
  },
  pairs: {
    question: 'What pairs',
    schools: {
      'shared-fixed': {
        label: 'As most would have it',
        says: 'A shared undertone connects; a clear colour may set off what stays, furnishings the easiest.',
      },
      shared: {
        label: 'Shared only',
        says: 'A shared undertone connects; opposites count for nothing.',
      },
      opposites: { label: 'Opposites too', says: 'Opposites set each other off, however strong.' },
    },
    default: 'shared-fixed',
    why: 'It is what our ratings say; the others move them.',
  },
  inspiration: {
    question: 'From an inspiration piece',
    schools: {
      both: {
        label: 'Show both',
        says: 'Two schemes side by side: its dominant colour, and a lesser one.',
      },
      dominant: {
        label: 'Its dominant colour',
        says: 'The wall takes the dominant colour; the piece recedes, calm.',
      },
      lesser: {
        label: 'A lesser colour',
        says: 'The wall takes a lesser colour; the piece stands out.',
      },
    },
    default: 'both',
    why: 'The client can see the difference.',
  },
  sampling: {
    question: 'Sampling',
    schools: {
      board: {
        label: 'Movable board',
        says: 'Two coats on a board with a white border: it moves between walls and lights and leaves no ridge.',
      },
      wall: {
        label: 'On the wall',
        says: 'Painted straight on the wall, up to the trim on both sides, in two coats.',
      },
    },
    default: 'board',
    why: 'One board is seen on every wall.',
  },
  'weakest-strength': {
    question: 'Weakest useful strength',
    schools: {
      '50': { label: '50 %', says: 'Under half strength is not proposed.' },
      '25': {
        label: '25 %',
        says: 'A quarter is allowed, with a warning where little more than the base is left.',
      },
    },
    default: '50',
    why: 'Below half, most colours are the base with a stain.',
  },
  trim: {
    question: 'Trim',
    schools: {
      table: { label: 'By the pairing', says: 'All are offered, the one that pairs best first.' },
      same: { label: 'Same colour', says: 'The wall colour in a higher sheen.' },
      'clean-white': { label: 'Clean white', says: 'A clean, crisp white.' },
      'soft-white': { label: 'Softened white', says: 'An off-white that leans the wall’s way.' },
      relative: {
        label: 'Two steps away',
        says: 'A relative two strip steps away, lighter if the wall is deep.',
      },
    },
    default: 'table',
    why: 'What trim suits is a matter of the wall’s undertone.',
  },
  'bright-whites': {
    question: 'Whites in a bright room',
    schools: {
      computed: {
        label: 'This one, computed',
        says: 'Say what happens to this white in this room.',
      },
      any: { label: 'Any white', says: 'A bright room carries any white.' },
      creamy: { label: 'Creamy keeps', says: 'Only a creamy white keeps its warmth.' },
      'washes-out': {
        label: 'Pale washes out',
        says: 'Pale colours wash out there and step back.',
      },
    },
    default: 'computed',
    why: 'A white with some grey in it behaves unlike one without.',
  },
  'white-beside-greige': {
    question: 'A clean white beside a greige',
    schools: {
      computed: {
        label: 'This pair, computed',
        says: 'Computed for the pair; warned of where it dirties.',
      },
      'sets-off': { label: 'Sets it off', says: 'A clean white sets a greige off.' },
      dirties: { label: 'Makes it dirty', says: 'A clean white makes a greige look dirty.' },
    },
    default: 'computed',
    why: 'Both happen; the pair decides.',
  },
  'beige-tan': {
    question: 'Beige and tan',
    schools: {
      lean: { label: 'By lean', says: 'Orange-pink is beige, yellow-green is tan.' },
      lightness: { label: 'By lightness', says: 'The lighter is beige, the deeper is tan.' },
    },
    default: 'lean',
    why: 'The lean is what quarrels.',
  },
  greige: {
    question: 'Greige',
    schools: {
      both: {
        label: 'Off-whites too',
        says: 'Any warm grey, and greyed off-whites, with the lightness word before it.',
      },
      'warm-grey': {
        label: 'Warm greys only',
        says: 'A warm grey; a greyed off-white is an off-white.',
      },
    },
    default: 'both',
    why: 'The lightness word says which is meant.',
  },
  'dark-walls': {
    question: 'Dark walls',
    schools: {
      'matt-walls': {
        label: 'Matt walls, satin joinery',
        says: 'Matt hides flaws on walls; satin wears on doors and cabinets.',
      },
      satin: { label: 'Satin throughout', says: 'A dark colour glows in satin, walls too.' },
    },
    default: 'matt-walls',
    why: 'A dark wall in satin shows every flaw towards the window.',
  },
} as const satisfies Readonly<Record<string, HouseRule>>

export type HouseRuleName = keyof typeof HOUSE_RULES
export type SchoolOf<Rule extends HouseRuleName> = keyof (typeof HOUSE_RULES)[Rule]['schools']
/** One school for every question. */
export type HouseRules = { readonly [Rule in HouseRuleName]: SchoolOf<Rule> }

export const HOUSE_RULE_NAMES = Object.keys(HOUSE_RULES) as readonly HouseRuleName[]

export const DEFAULT_HOUSE_RULES = Object.fromEntries(
  HOUSE_RULE_NAMES.map((rule) => [rule, HOUSE_RULES[rule].default]),
) as HouseRules

/** The schools of a rule, in the order they are offered. */
export const schoolsOf = (rule: HouseRuleName): readonly (School & { readonly school: string })[] =>
  Object.entries<School>(HOUSE_RULES[rule].schools).map(([school, each]) => ({ ...each, school }))

/** "house rule “A cool, even room: warm it up”": how advice names the rule it used. */
export function ruleWords<Rule extends HouseRuleName>(rule: Rule, rules: HouseRules): string {
  const { question, schools } = HOUSE_RULES[rule]
  const { label } = (schools as Readonly<Record<string, School>>)[rules[rule] as string]!
  return `house rule “${question.replace(/\?$/, '')}: ${label.charAt(0).toLowerCase()}${label.slice(1)}”`
}

/** The weakest strength a visit's rule allows, per cent. */
export const weakestStrengthPercent = (rules: HouseRules): number =>
  Number(rules['weakest-strength'])
