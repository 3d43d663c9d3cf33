import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import pg from 'pg'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { open, test } from './app'
import { NAMES } from './names'
import { runOn } from './own-commands'

// Visit files and backups as the programs of earlier versions wrote them: `npm run keep-stage`.
const stageFile = (name: string): string => join(import.meta.dirname, 'stages', name)
const VISIT_FILES = process.env.ELM_LONG ? ['0013', '0014', '0015', '0016'] : ['0013']
const BACKUPS = process.env.ELM_LONG ? ['0014', '0015', '0016'] : ['0014']

const dir = mkdtempSync(join(tmpdir(), 'elm-earlier-'))
test.afterAll(() => rmSync(dir, { recursive: true, force: true }))

for (const stage of VISIT_FILES)
  test(`a visit file of version ${Number(stage)} is read, brought up to date, and worked on`, async ({
    page,
    emptyApp: app,
  }) => {
    test.slow()
    await open(page, app.url)
    await page.getByLabel(NAMES.yourName).fill('Orrin Tarrow')
    await page.getByLabel(/Add the deck/).uncheck()
    await page.getByRole('button', { name: NAMES.start }).click()
    await page.getByText(NAMES.noVisitYet).waitFor()
    await page.getByLabel(NAMES.openAVisitFile).setInputFiles({
      name: 'visit.zip',
      mimeType: 'application/zip',
      buffer: readFileSync(stageFile(`${stage}.visit.zip`)),
    })
    const said = page.getByRole('status', { name: NAMES.theFile })
    await expect(said).toContainText('rows were read.', { timeout: 90_000 })
    await open(page, app.url)
    await page.getByRole('link', { name: 'The Orrin-Vale household' }).click()
    await page.getByRole('link', { name: /grid/i }).first().click()
    await expect(page.getByRole('row').filter({ hasText: 'B033-4' }).first()).toBeVisible()
  })

for (const stage of BACKUPS)
  test(`a backup of version ${Number(stage)} is restored into a directory, and into a server’s database where others live too`, async () => {
    test.setTimeout(300_000)
    const backup = stageFile(`${stage}.backup.zip`)
    const data = join(dir, stage)
    // Of this version that is seen in tests/safe.spec.ts; of all before, as rows, in src/app/every-stage.test.ts.
    if (process.env.ELM_LONG) {
      const restored = await runOn({ ELM_DATA_DIR: data }, 'restore', backup, '--yes')
      expect(restored).toContain(`It is in ${data} now.`)
    }

    const postgres = startPostgres()
    const db = new pg.Client({ connectionString: postgres.urlOf('postgres') })
    await db.connect()
    const rowsOf = async (query: string) => (await db.query(query)).rows as unknown[]
    try {
      const env = { ELM_DATA_DIR: join(dir, 'files'), DATABASE_URL: postgres.urlOf('postgres') }
      // Somebody else's, in the same schema.
      await db.query(`create table invoice (id integer primary key, says text);
        insert into invoice values (1, 'for two tins'), (2, 'for a brush');
        create view invoices as select * from invoice`)
      expect(await runOn(env, 'restore', backup, '--yes')).toContain('The Orrin-Vale household')
      const looks = await rowsOf('select id from look')
      expect(looks.length).toBeGreaterThan(20)
      expect(await rowsOf('select * from invoices order by id')).toEqual([
        { id: 1, says: 'for two tins' },
        { id: 2, says: 'for a brush' },
      ])

      // What would be torn from somebody else's rows is refused, and nothing is touched.
      await db.query(
        `alter table invoice add column visit_id uuid references visit (id);
         update invoice set visit_id = (select id from visit limit 1)`,
      )
      const whole = await rowsOf('select * from invoice, visit, look order by look.id, invoice.id')
      expect(await runOn(env, 'restore', backup, '--yes')).toContain(
        'In this database invoice, which is not of Elm Swatch, points at its rows',
      )
      expect(
        await rowsOf('select * from invoice, visit, look order by look.id, invoice.id'),
      ).toEqual(whole)
    } finally {
      await db.end()
      postgres.stop()
    }
  })
