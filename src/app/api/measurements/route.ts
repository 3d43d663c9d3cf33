import { taking } from '@/app/writing'
import { saidOfFile } from '@/formats/measured-colour'
import { measurementOfFile } from '@/workers/read-file-client'

const MOST_BYTES = 8_000_000

/** Reads a measurement file (CGATS.17 text or CSV) and answers with its colours; nothing is stored. */
export const POST = taking(
  { takes: 'measurement files', mostBytes: MOST_BYTES, keeps: false },
  async (request) =>
    Response.json(
      await measurementOfFile(await request.text(), saidOfFile(new URL(request.url).searchParams)),
    ),
)
