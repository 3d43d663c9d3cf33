import { join } from 'node:path'
import type { Worker } from 'node:worker_threads'
import type { Paper, SheetDocument } from '../core/sheet/sheet-document'
import type { PdfAnswer, PdfRequest } from './pdf-protocol'

/** The thread that sets PDFs, and who waits for it. */
interface Setter {
  readonly worker: Worker
  readonly waiting: Map<
    number,
    { resolve: (bytes: Uint8Array) => void; reject: (e: Error) => void }
  >
  next: number
}

// Modules are instantiated more than once in a server; the thread is one.
const held = globalThis as typeof globalThis & { elmPdfSetter?: Setter | undefined }

function setter(): Setter {
  if (held.elmPdfSetter) return held.elmPdfSetter
  // Its own file, run as it is. The builder would follow a plain `new Worker` and bundle the fonts as modules.
  const { Worker: Thread } = process.getBuiltinModule('node:worker_threads')
  const worker = new Thread(join(process.cwd(), 'src', 'workers', 'pdf-thread.mjs'))
  worker.unref()
  const made: Setter = { worker, waiting: new Map(), next: 0 }
  worker.on('message', (answer: PdfAnswer) => {
    const asked = made.waiting.get(answer.id)
    made.waiting.delete(answer.id)
    if ('error' in answer) asked?.reject(new Error(answer.error))
    else asked?.resolve(answer.bytes)
  })
  const fail = (error: Error): void => {
    held.elmPdfSetter = undefined
    for (const { reject } of made.waiting.values()) reject(error)
    made.waiting.clear()
  }
  worker.on('error', fail)
  worker.on('exit', (code) => fail(new Error(`the thread that sets PDFs ended with ${code}`)))
  held.elmPdfSetter = made
  return made
}

/** A sheet as the bytes of a PDF, set in a thread of its own while other pages answer. */
export function sheetPdf(sheet: SheetDocument, paper: Paper): Promise<Uint8Array> {
  const { worker, waiting } = setter()
  const id = setter().next++
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject })
    worker.postMessage({ id, sheet, paper } satisfies PdfRequest)
  })
}
