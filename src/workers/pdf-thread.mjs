// The thread that sets PDFs begins here: Node runs this as it is, and it runs the TypeScript.
import { tsImport } from 'tsx/esm/api'

await tsImport('./pdf.worker.ts', import.meta.url)
