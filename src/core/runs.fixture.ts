import fc from 'fast-check'

/** How often a property is tried: so often, or less where a run of many tests says so (`jest.mutants.setup.ts`). */
export const runs = (usual: number): number =>
  Math.min(usual, fc.readConfigureGlobal().numRuns ?? usual)
