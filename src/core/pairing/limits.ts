/**
 * Every threshold of a pair, in CAM16-UCS units and degrees. Sources: the facts of the trade in docs/model.md, common
 * practice; each is a chance's middle, not a cliff. Beside each stand the scenes and rules that fail without it
 * (`npm run accuracy -- --without` takes them out one by one).
 */
export const LIMITS = {
  /** Spread of an observer's own line, an axis and surface; the smallest that keeps a step of 0.1 unit under 0.06. */
  ownSpread: 1.2,

  /** Conflict of two leans from which they quarrel. "Cream does not suit travertine"; "a taupe brings the cream out". */
  conflict: 2.95,
  /** Lightness distance over which two leans stop disturbing each other. "A deep navy takes a cream trim"; "a dark blue slate takes a cream wall." */
  lightnessScale: 43,
  /** A lean over √(104 − J′) from which it is felt. "A neutral grey clashes with nothing muted." */
  feltLean: 0.28,

  /** Hues from here apart, one lean this clear and the other this strong, set each other off. "Coral and blue-green." */
  contrast: { hueDeg: 80, weaker: 8, stronger: 14 },
  /** What is no fixture may be another hue than the wall, the easier the further apart. "A charcoal wall and a teal cloth." */
  setOff: { hueDeg: 50, strong: 6, perLightness: 40 },
  /** A deep trim from across the circle. "A clay grey takes a teal-green trim." */
  deepTrim: { hueDeg: 110, darker: 10, lean: 6 },
  /** A slight lean, the wall's or a trim's, far enough away in lightness takes any other: so far, and so much more a unit of its lean. "A greige bridges to a cool grey." */
  bridge: { leanBelow: 5.6, apart: 8, perLean: 1.2 },
  /** Near black without a lean sets anything off. "An off-black and dark oak." */
  black: { jBelow: 34, leanBelow: 5 },
  /** Wood takes what leans within so many degrees of it, by this share. "A coral and blonde wood." */
  wood: { hueDeg: 50, takes: 0.8 },

  /** J′ from which a surface is light. */
  lightFrom: 85,
  /** Among lights: so much yellower, darker by this, no darker than that, beside a finish this clean. "A yellow-green off-white beside a clean white"; the beige well below a white trim stays clear of it. */
  dirtyLight: { yellower: 4, darkerFrom: 0.3, darkerTo: 8, finishLeanBelow: 4.5 },
  /** A clearly cleaner surface of the same hue nearby. "A muted sage beside a clean mint." The finish needs a cleaner wall than the wall a finish. */
  dirty: { hueDeg: 50, lightness: 18, cleaner: 2, cleanerWall: 2.5, leanFrom: 1.2 },
  /** Beside a creamier light finish a wall of under half its lean looks empty. "A soft off-white beside cream cabinets." */
  washesOut: { finishLean: 5, share: 0.5, darker: 1, hueDeg: 45, paleBelow: 2 },
  /** Two smooth surfaces close and not the same. "Two near-whites of different undertone." */
  nearMiss: { fromE: 1, belowE: 6, conflict: 1.2, lightness: 2.5, sameHueDeg: 15, apart: 3 },

  /** The same lean, lighter and no stronger: a quiet stretch. "Lighter and softer works." */
  quiet: { hueDeg: 25, lighter: 2 },
} as const
