// Run in the tree of a commit by `npm run keep-stage`: the visit in progress as that program writes it to a file, and its backup,
// where it knows them.
import { existsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const [, , out] = process.argv
const at = (path: string): string => join(process.cwd(), path)
const handlerIn = async (path: string) =>
  (await import(at(path))) as {
    GET: (request: Request | null, context: unknown) => Promise<Response>
  }

async function keep(file: string, answer: Response): Promise<void> {
  if (!answer.ok) throw new Error(`${file}: ${answer.status} ${await answer.text()}`)
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()))
}

const VISIT_FILE = 'src/app/api/visits/[visitId]/file/route.ts'
const BACKUP = 'src/app/api/backup/route.ts'
if (existsSync(at(VISIT_FILE))) {
  const store = existsSync(at('src/store/store.ts')) ? 'src/store/store.ts' : 'src/db/store.ts'
  const { openDb } = (await import(at(store))) as { openDb: () => Promise<unknown> }
  const { listVisits } = (await import(at('src/db/visits.ts'))) as {
    listVisits: (db: unknown) => Promise<{ readonly id: string }[]>
  }
  const [visit] = await listVisits(await openDb())
  const { GET } = await handlerIn(VISIT_FILE)
  await keep(
    `${out}.visit.zip`,
    await GET(null, { params: Promise.resolve({ visitId: visit!.id }) }),
  )
}
if (existsSync(at(BACKUP)))
  await keep(`${out}.backup.zip`, await (await handlerIn(BACKUP)).GET(null, {}))
process.exit(0)
