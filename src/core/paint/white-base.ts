import type { Lab } from '../colour/lab'
import type { Reflectance } from '../colour/spectrum'
import { reflectanceOfReading } from './reading'

/** The reflectance of a deck's untinted white base, L*a*b* under D65, 2°. */
export const labWhiteBase = (lab: Lab): Reflectance => reflectanceOfReading({ kind: 'lab', lab })
