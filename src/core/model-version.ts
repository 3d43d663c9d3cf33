import type { EyeInForce } from './eye/factors'

/**
 * Names what the model says of a pair; kept with every look, so that an old reading is never taken for today's. It goes up
 * when a judgement changes; `model-version.test.ts` fails when one did and it was forgotten.
 */
export const MODEL_VERSION = '14'

/** The same with the eye that was judged with, where it was not the model's own limits: "13, eye 2". */
export const modelVersion = ({ version }: Pick<EyeInForce, 'version'>): string =>
  version === 0 ? MODEL_VERSION : `${MODEL_VERSION}, eye ${version}`
