// Every thread of the server begins here: Node runs this as it is, and it runs the TypeScript that it was told of.
import { workerData } from 'node:worker_threads'
import { tsImport } from 'tsx/esm/api'

await tsImport(workerData.runs, import.meta.url)
