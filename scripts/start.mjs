// npm start: the application on the consultant's own store, empty at first.
import { serve } from './lib/serve.mjs'

await serve(async () => {
  const { default: envPaths } = await import('env-paths')
  const dataDir = process.env.ELM_DATA_DIR ?? envPaths('elm-swatch', { suffix: '' }).data
  console.log(`Its data is in ${dataDir}`)
  return dataDir
})
