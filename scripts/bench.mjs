// npm run bench: what the core, the record and the bench cost, on this machine, printed.
import { ensureBrowser } from './lib/browser.mjs'
import { ensureBuild, ensurePackages, run } from './lib/prepare.mjs'

// A test only sees that it runs: a small record, and no browser.
const isSmall = Boolean(process.env.ELM_SMALL)
const bench = (name, ...args) =>
  run(
    'node',
    ['--import', 'tsx', `scripts/bench/${name}.ts`, ...args],
    isSmall ? { ELM_VISITS: '12', ELM_COLOURS: '600' } : {},
    process.stdout,
  )

await ensurePackages()
if (!isSmall) {
  await ensureBuild()
  await ensureBrowser()
  await bench('core')
  await bench('room')
}
for (const engine of ['embedded', 'server']) await bench('record', engine)
await bench('nobody-waits')
if (!isSmall) {
  const { measureBench } = await import('./bench/browser.mjs')
  await measureBench()
}
