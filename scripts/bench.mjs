// npm run bench: what the core and the bench cost, on this machine, printed.
import { ensureBrowser } from './lib/browser.mjs'
import { ensureBuild, ensurePackages, run } from './lib/prepare.mjs'

await ensurePackages()
await ensureBuild()
await ensureBrowser()
await run('node', ['--import', 'tsx', 'scripts/bench/core.ts'], {}, process.stdout)
await run('node', ['--import', 'tsx', 'scripts/bench/room.ts'], {}, process.stdout)
for (const engine of ['embedded', 'server'])
  await run('node', ['--import', 'tsx', 'scripts/bench/record.ts', engine], {}, process.stdout)
await run('node', ['--import', 'tsx', 'scripts/bench/nobody-waits.ts'], {}, process.stdout)
const { measureBench } = await import('./bench/browser.mjs')
await measureBench()
