import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { expect } from '@playwright/test'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { freePort, startServer } from '../scripts/lib/server.mjs'
import { demoVisit, open, test } from './app'
import { contentsOf } from './backup-contents'
import { changesOf } from './changes'
import { runOn } from './own-commands'

test.use({ ownServer: true })

const dir = mkdtempSync(join(tmpdir(), 'elm-safe-'))
test.afterAll(() => rmSync(dir, { recursive: true, force: true }))

/** What `npm run backup` or `npm run restore` says on a data directory. */
const run = (what: 'backup' | 'restore', dataDir: string, ...args: string[]): Promise<string> =>
  runOn({ ELM_DATA_DIR: dataDir }, what, ...args)

test('a backup made while in use, put back into an empty store, is that store', async ({
  ownApp: app,
  page,
}) => {
  // Nine programs, each of which opens a store.
  test.setTimeout(240_000)
  await open(page, `${app.url}/settings`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Back up now' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/^elm-swatch-\d{4}-\d\d-\d\dT\d{4}\.zip$/)
  const file = join(dir, 'first.zip')
  await download.saveAs(file)

  // The command asks the application that runs, and gets the same.
  const second = join(dir, 'second.zip')
  expect(await run('backup', app.dataDir, second)).toContain(
    `It is in ${second}, and was read back.`,
  )
  const contents = contentsOf(readFileSync(file))
  expect(contentsOf(readFileSync(second))).toEqual(contents)
  expect(contents.filter((line) => line.startsWith('look ')).length).toBeGreaterThan(20)
  expect(contents.filter((line) => line.startsWith('photos/'))).toHaveLength(2)

  const fresh = join(dir, 'fresh')
  const shown = await run('restore', fresh, file)
  expect(shown).toContain('The Orrin-Vale household')
  expect(shown).toContain(`npm run restore -- ${file} --yes`)
  expect(existsSync(fresh)).toBe(false)
  expect(await run('restore', fresh, file, '--yes')).toContain(`It is in ${fresh} now.`)
  const third = join(dir, 'third.zip')
  await run('backup', fresh, third)
  expect(contentsOf(readFileSync(third))).toEqual(contents)

  // Over a store that has something in it only with a copy of that, and never under a server that runs.
  expect(await run('restore', app.dataDir, file, '--yes')).toContain(
    'is in use by another Elm Swatch server',
  )
  await run('restore', fresh, file, '--yes').then((said) => {
    const copy = / What was there before is in (\S+)\.\n/.exec(said)![1]!
    expect(contentsOf(readFileSync(copy))).toEqual(contents)
  })

  // What is newer, no backup, cut off or harmed is refused in words before anything is touched.
  const files = unzipSync(readFileSync(file))
  const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as object
  const photo = Object.keys(files).find((name) => name.startsWith('photos/'))!
  const cases: readonly (readonly [Uint8Array, string])[] = [
    [
      zipSync({ ...files, 'manifest.json': strToU8(JSON.stringify({ ...manifest, rows: 9999 })) }),
      'written by a newer Elm Swatch',
    ],
    [zipSync({ 'README.txt': strToU8('x') }), 'is no backup of Elm Swatch'],
    [readFileSync(file).subarray(0, 90_000), 'is not a whole backup'],
    [zipSync({ ...files, [photo]: files[photo]!.slice(0, -9) }), 'is harmed'],
    [
      zipSync({ ...files, 'rows.ndjson.gz': files['rows.ndjson.gz']!.slice(0, -900) }),
      'is not a whole backup',
    ],
  ]
  for (const [bytes, words] of cases) {
    const bad = join(dir, 'bad.zip')
    writeFileSync(bad, bytes)
    expect(await run('restore', fresh, bad)).toContain(words)
  }
})

test('moved to a PostgreSQL server, two processes work on it, and it moves back', async ({
  ownApp: app,
  request,
}) => {
  test.setTimeout(300_000)
  const postgres = startPostgres()
  const servers: Awaited<ReturnType<typeof startServer>>[] = []
  try {
    const first = join(dir, 'to-server.zip')
    await run('backup', app.dataDir, first)
    const files = join(dir, 'files')
    const env = { ELM_DATA_DIR: files, DATABASE_URL: postgres.urlOf('postgres') }
    expect(await runOn(env, 'restore', first, '--yes')).toContain('The Orrin-Vale household')
    const second = join(dir, 'from-server.zip')
    await runOn(env, 'backup', second)
    expect(contentsOf(readFileSync(second))).toEqual(contentsOf(readFileSync(first)))

    // Both at once on the one database: each change of each is kept once, whichever it was sent to, and however often.
    for (const port of [await freePort(), await freePort()])
      servers.push(await startServer({ port, dataDir: files, env }))
    const visit = demoVisit(app).replace(app.url, '')
    const brief = (await changesOf(request, servers[0]!.url + visit)).find(
      ({ kind }) => kind === 'keep-brief',
    )!
    expect(brief).toBeDefined()
    const send = (url: string, id: string, finished: boolean) =>
      request.post(`${url}/api/commands`, {
        headers: { origin: url },
        data: {
          ...{ id, kind: 'finish-visit', actor: 'Ines Tarrow', device: 'tablet' },
          payload: { visitId: visit.split('/').at(-1), finished },
          madeAt: new Date().toISOString(),
        },
      })
    const ids = Array.from({ length: 20 }, () => crypto.randomUUID())
    const answers = await Promise.all(
      ids.flatMap((id, n) => servers.map(({ url }) => send(url, id, n % 2 === 0))),
    )
    for (const answer of answers) expect(await answer.json()).toMatchObject({ ok: true })
    const kept = (await changesOf(request, servers[1]!.url + visit)).filter(({ id }) =>
      ids.includes(id),
    )
    expect(kept.map(({ id }) => id).sort()).toEqual(ids.toSorted())

    for (const { child, ended } of servers.splice(0)) {
      child.kill('SIGTERM')
      await ended
    }
    const third = join(dir, 'back.zip')
    await runOn(env, 'backup', third)
    const back = join(dir, 'back')
    await run('restore', back, third, '--yes')
    const fourth = join(dir, 'embedded.zip')
    await run('backup', back, fourth)
    expect(contentsOf(readFileSync(fourth))).toEqual(contentsOf(readFileSync(third)))

    // What a server has is not overwritten without a copy of it.
    const said = await runOn(env, 'restore', first, '--yes')
    const copy = / What was there before is in (\S+)\.\n/.exec(said)![1]!
    expect(contentsOf(readFileSync(copy))).toEqual(contentsOf(readFileSync(third)))
    postgres.stop()
    const gone = startServer({ port: await freePort(), dataDir: files, env })
    await expect(gone).rejects.toThrow(/The PostgreSQL server in DATABASE_URL does not answer/)
  } finally {
    for (const { child } of servers) child.kill('SIGKILL')
  }
})
