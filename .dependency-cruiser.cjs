/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-orphans',
      severity: 'error',
      comment: 'a module that nothing imports',
      from: {
        orphan: true,
        pathNot: [
          '\\.d\\.ts$',
          '\\.test\\.ts$',
          '^src/app/',
          '^src/(instrumentation|proxy)\\.ts$',
          '^demo/(seed|write-deck)\\.ts$',
        ],
      },
      to: {},
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.(test|fixture)\\.ts$' },
      to: { pathNot: ['^src/core/', '^node_modules/(suncalc|ml-matrix|ts-fsrs)/'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js'] },
  },
}
