import { prepareLight } from '../colour/appearance'
import { ILLUMINANT_SPECTRA } from '../colour/illuminant'

/** The light that a colour goes by its name in, and that settles what must not change from light to light. */
export const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)
