import { gunzipSync } from 'node:zlib'
import { unzipSync } from 'fflate'

/** Every row and photo in a backup, in an order of its own. */
export function contentsOf(zip: Uint8Array): string[] {
  const files = unzipSync(zip)
  const lines = gunzipSync(files['rows.ndjson.gz']!).toString().trim().split('\n')
  const rows = lines.flatMap((line) => {
    const page = JSON.parse(line) as { table?: string; rows?: object[] }
    return page.table ? page.rows!.map((row) => `${page.table} ${JSON.stringify(row)}`) : []
  })
  return [...rows, ...Object.keys(files).filter((name) => name.startsWith('photos/'))].sort()
}
