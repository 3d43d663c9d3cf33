// What a property test takes for fast-check: the same cases in every run, so that none fails by chance; other ones each time
// with ELM_LONG=1, which prints the seed of what fails.
import fc from '../node_modules/fast-check/lib/cjs/fast-check.js'

if (!process.env.ELM_LONG) fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: 1931 })

// eslint-disable-next-line no-restricted-syntax -- fast-check is a default export
export default fc
