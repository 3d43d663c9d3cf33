import fc from 'fast-check'

// A mutant is noticed by a few dozen cases or by none: thousands would only cost time, a thousand times over.
fc.configureGlobal({ numRuns: 40, endOnFailure: true })
