/**
 * Names what the model says of a pair; kept with every look, so that an old reading is never taken for today's. It goes up
 * when a judgement changes; `model-version.test.ts` fails when one did and it was forgotten.
 */
export const MODEL_VERSION = '13'
