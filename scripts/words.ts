// npm run words: every word on screen, sheet, PDF and command line in one list, then the sentences that are computed.
// A directory after it narrows the list: npm run words -- src/ui/bench.
import { join } from 'node:path'
import { computedSentences } from './words/computed'
import { wordsUnder } from './words/written'

const root = join(import.meta.dirname, '..')
const asked = process.argv.slice(2)

for (const directory of asked.length > 0 ? asked : ['src', 'scripts'])
  for (const { file, words } of wordsUnder(root, directory))
    console.log([`## ${file}`, ...words.map((each) => `  ${each}`)].join('\n'))
if (asked.length === 0)
  for (const [kind, sentences] of Object.entries(computedSentences()))
    console.log([`## computed: ${kind}`, ...sentences.map((each) => `  ${each}`)].join('\n'))
