import { expect, type Page } from '@playwright/test'
import { seededRandom } from '../src/core/seeded-random'
import { writeCgats } from '../src/formats/write-cgats'
import { writeGimpPalette } from '../src/formats/gimp-palette'
import { writeDeckCsv } from '../src/formats/write-deck'
import { open, test } from './app'
import { make } from './make'
import { NAMES } from './names'

// Invented decks, one in each format; of the trade's largest size the first, and with ELM_LONG=1 all of them.
const LARGEST = process.env.ELM_LONG ? 20_000 : 8000
const SMALLER = process.env.ELM_LONG ? LARGEST : 2000
const random = seededRandom(9)
const labs = Array.from(
  { length: LARGEST },
  () => [30 + 60 * random(), 16 * random() - 7, 22 * random() - 8] as const,
)
const code = (i: number): string => `Q${String(i).padStart(5, '0')}`
const hex = (i: number): string =>
  `#${[0x30 + ((i * 7) % 0xc0), 0x30 + ((i * 3) % 0xc0), 0x30 + ((i * 5) % 0xc0)]
    .map((value) => value.toString(16).padStart(2, '0'))
    .join('')}`

const FILES = {
  CSV: () =>
    writeDeckCsv(
      labs.map((lab, i) => ({
        code: code(i),
        name: `Tint ${i}`,
        strip: `S${Math.floor(i / 8)}`,
        base: 'white' as const,
        reading: { kind: 'lab' as const, lab },
      })),
    ),
  CGATS: () =>
    writeCgats(
      labs
        .slice(0, SMALLER)
        .map((lab, i) => ({ name: `Tint ${i}`, reading: { kind: 'lab', lab } })),
    ),
  'GIMP palette': () =>
    writeGimpPalette(
      'Tints',
      labs.slice(0, SMALLER).map((_, i) => ({ name: code(i), hex: hex(i) })),
    ),
} as const

const choose = (page: Page, name: string, text: string | Buffer) =>
  page
    .getByLabel('Deck file')
    .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
const take = (page: Page) => page.getByRole('button', { name: 'Import the deck' })

async function named(page: Page, name: string): Promise<void> {
  await page.getByLabel('Maker').fill('Oddney and Daughters')
  await page.getByLabel('Name of the deck').fill(name)
}

test('as many colours as a deck has come in from each format with progress while other pages answer, and are listed', async ({
  page,
  context,
  ownApp: app,
}) => {
  test.setTimeout(180_000)
  for (const [format, file] of Object.entries(FILES))
    await test.step(format, async () => {
      await open(page, `${app.url}/decks`)
      await named(page, `As ${format}`)
      await choose(page, 'deck.txt', file())
      const many = (format === 'CSV' ? LARGEST : SMALLER).toLocaleString('en')
      await expect(page.getByText(`${format}, ${many} lines.`)).toBeVisible()
      const preview = page.getByRole('region', { name: 'Preview' })
      await expect(preview).toContainText(`${many} colours`)
      await expect(preview.getByRole('img').first()).toHaveAttribute('data-hex', /^#[0-9a-f]{6}$/)
      await take(page).click()
      // A smaller one may be in before anybody sees it come.
      if (format === 'CSV')
        await expect(page.getByRole('progressbar', { name: 'Importing the deck' })).toBeVisible()
      const other = await context.newPage()
      await open(other, app.url)
      await expect(other.getByRole('link', { name: /Orrin-Vale/ })).toBeVisible()
      await other.close()
      await expect(page.getByText(`${many} colours imported.`)).toBeVisible({ timeout: 60_000 })
      const line = page
        .getByRole('listitem')
        .filter({ hasText: `Oddney and Daughters, As ${format}` })
        .first()
      await expect(line).toContainText(`${many} colours`)
    })
})

test('a file of any columns is mapped by hand, mended or left out line by line, and nothing is stored before', async ({
  page,
  ownApp: app,
  consoleMay,
}) => {
  consoleMay.push(/status of 409/)
  await open(page, `${app.url}/decks`)
  await named(page, 'Mended')
  const rows = [
    'p;q;r;s;t',
    'A1;Ashquill;200;190;180',
    'A2;Oakhithe;300;190;180',
    'A1;Again;100;90;80',
    'A3;=1+1;10;9;8',
  ]
  await choose(page, 'deck.csv', rows.join('\n'))
  await expect(page.getByText('Which column has the code, or the name?')).toBeVisible()
  await page.getByRole('combobox', { name: 'Code', exact: true }).selectOption('p')
  await page.getByRole('combobox', { name: 'Name', exact: true }).selectOption('q')
  await page
    .getByRole('combobox', { name: 'The colour is', exact: true })
    .selectOption('red, green, blue (0 to 255)')
  await page.getByRole('combobox', { name: 'Red', exact: true }).selectOption('r')
  await page.getByRole('combobox', { name: 'Green', exact: true }).selectOption('s')
  await page.getByRole('combobox', { name: 'Blue', exact: true }).selectOption('t')
  const wrong = page.getByRole('region', { name: 'Wrong lines' })
  await expect(wrong.getByRole('listitem')).toHaveCount(3)
  await expect(wrong).toContainText('Line 3: red must be 0 to 255, got “300”.')
  await expect(wrong).toContainText('Line 4: Code “A1” stands on line 2 already.')
  await expect(wrong).toContainText('Line 5: name looks like a spreadsheet formula')
  await expect(take(page)).toBeDisabled()
  await wrong.getByRole('button', { name: 'Mend line 3' }).click()
  await wrong.getByLabel('r', { exact: true }).fill('210')
  await wrong.getByRole('button', { name: 'So it is right' }).click()
  await expect(wrong.getByRole('listitem')).toHaveCount(2)
  await wrong.getByRole('button', { name: 'Leave all 2 out' }).click()
  await expect(wrong).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Preview' })).toContainText(
    '2 colours, 2 lines left out',
  )
  await take(page).click()
  await expect(page.getByText('2 colours imported.')).toBeVisible()
  // One name of it stands in another deck, too: that is another paint.
  await named(page, 'Namesakes')
  await choose(page, 'deck.csv', 'code,name,hex\nZ1,Ashquill,#405060\n')
  await take(page).click()
  await expect(page.getByText('1 colour imported.')).toBeVisible()
  await expect(page.getByRole('region', { name: 'One name, two paints' })).toContainText(
    /Ashquill: Oddney and Daughters, Mended, A1 and Oddney and Daughters, Namesakes, Z1\. The second is .*bluer/,
  )
  // The same name of the same maker is taken.
  await named(page, 'Mended')
  await choose(page, 'deck.csv', 'code,name,hex\nZ1,Other,#405060\n')
  await take(page).click()
  await expect(page.getByText('Oddney and Daughters has a deck “Mended” already.')).toBeVisible()

  await test.step('it goes out as it came: CSV is read back, CGATS has every colour', async () => {
    await page.reload()
    await page.locator('html[data-ready=yes]').waitFor()
    await named(page, 'Round')
    const csv =
      'code,name,L,a,b,strip,base,LRV,sheens,refused\nA1,Ashquill,80.00,1.00,2.00,S,deep,56.7,matt/satin,yes\n'
    await choose(page, 'deck.csv', csv)
    await take(page).click()
    await expect(page.getByText('1 colour imported.')).toBeVisible()
    const line = page.getByRole('listitem').filter({ hasText: 'Round' })
    const out = async (name: string): Promise<string> => {
      const address = await line.getByRole('link', { name }).getAttribute('href')
      return page.evaluate(async (from) => (await fetch(from)).text(), address!)
    }
    expect(await out('As CSV')).toBe(csv)
    expect(await out('As CGATS')).toContain(
      '"A1" "Ashquill" "S" "deep" "56.7" "matt/satin" "yes" 80.0000 1.0000 2.0000',
    )
  })
})

const BROKEN: readonly (readonly [string, string | Buffer, RegExp])[] = [
  ['a CSV with an open quotation mark', 'code,name,hex\nA1,"Q,#405060\n', /quotation mark/],
  ['a CGATS file without data', 'CGATS.17\nBEGIN_DATA_FORMAT\nLAB_L\n', /END_DATA_FORMAT/],
  ['a GIMP palette without a colour', 'GIMP Palette\nName: x\n#\n', /at least one colour/],
  ['no text at all', Buffer.from([0, 1, 2, 3, 0xff, 0xfe]), /not UTF-8/],
  [
    'a CSV of a million commas',
    `${','.repeat(1_000_000)}\n${','.repeat(1_000_000)}\n`,
    /at least one colour|at most 400 columns/,
  ],
  ['a CGATS file of a light', `CGATS.17\n${'BEGIN_DATA\n'.repeat(20_000)}`, /Expected/],
  [
    'a GIMP palette of words',
    `GIMP Palette\n${'<script> 1 2 x\n'.repeat(300)}`,
    /red must be a number/,
  ],
]
test('a broken or a hostile file of each format is refused in words, and nothing is stored', async ({
  page,
  app,
}) => {
  await open(page, `${app.url}/decks`)
  const before = await page.getByRole('listitem').count()
  await named(page, 'Broken')
  for (const [what, file, says] of BROKEN)
    await test.step(what, async () => {
      await choose(page, 'deck.txt', file)
      await expect(page.getByText(says).first()).toBeVisible()
    })
  await page.reload()
  await expect(page.getByRole('listitem')).toHaveCount(before)
})

test('a deck on its way is sent once however often its key is pressed, can be stopped, and leaves nothing', async ({
  page,
  app,
  consoleMay,
}) => {
  // A request that is stopped on purpose.
  consoleMay.push(/net::ERR_/)
  await open(page, `${app.url}/decks`)
  let sent = 0
  let release = (): void => undefined
  const held = new Promise<void>((done) => (release = done))
  await page.route(/api\/decks\/import\/[^/]+$/, async (route) => {
    if (route.request().method() === 'DELETE') return route.continue()
    sent += 1
    await held
    await route.abort().catch(() => undefined)
  })
  await named(page, 'Slow')
  await choose(page, 'deck.csv', 'code,name,hex\nZ1,Other,#405060\n')
  await expect(page.getByRole('region', { name: 'Preview' })).toBeVisible()
  await page.getByLabel('Name of the deck').press('ControlOrMeta+Enter')
  await expect(page.getByRole('progressbar', { name: 'Importing the deck' })).toBeVisible()
  await expect.poll(() => sent).toBe(1)
  await page.getByLabel('Name of the deck').press('ControlOrMeta+Enter')
  await page.getByRole('button', { name: NAMES.stop }).click()
  await expect(page.getByText('Stopped; nothing was imported.')).toBeVisible()
  expect(sent).toBe(1)
  release()
  await page.reload()
  await expect(page.getByRole('listitem').filter({ hasText: 'Slow' })).toHaveCount(0)
})

const SENT_COLOUR = {
  ...{ code: 'A', name: 'Q', strip: 'S', base: 'white', printedLrvPercent: null },
  ...{ sheens: null, mayBeRefused: false, reading: { kind: 'srgb', hex: '#405060' } },
}

test('a page that is closed while its deck is on its way leaves nothing on its way', async ({
  page,
  app,
  consoleMay,
}) => {
  consoleMay.push(/net::ERR_|status of 409|Failed to fetch/)
  await open(page, `${app.url}/decks`)
  await named(page, 'Left')
  // Large enough to be on its way for some seconds.
  await choose(page, 'deck.csv', FILES.CSV())
  const began = page.waitForRequest(/api\/decks\/import$/)
  await take(page).click()
  const { deckId } = (await began).postDataJSON() as { deckId: string }
  await expect(page.getByRole('progressbar', { name: 'Importing the deck' })).toBeVisible()
  await open(page, `${app.url}/settings`)
  // A deck that is on its way takes colours; what was left is told that it is not.
  await expect
    .poll(() =>
      page.evaluate(
        async ([to, body]) => (await fetch(to!, { method: 'POST', body: body! })).status,
        [`/api/decks/import/${deckId}`, JSON.stringify({ colours: [SENT_COLOUR] })],
      ),
    )
    .toBe(409)
})

test('an import that is given up before it has begun is not begun any more', async ({
  page,
  app,
  consoleMay,
}) => {
  consoleMay.push(/status of 409/)
  await open(page, app.url)
  const [overtaken, other] = [crypto.randomUUID(), crypto.randomUUID()]
  const head = { maker: 'Oddney and Daughters', baseL: '96', baseA: '0', baseB: '2' }
  const ask = (method: string, address: string, body?: unknown): Promise<number> =>
    page.evaluate(
      async ([how, to, sent]) => (await fetch(to, { method: how, body: sent || null })).status,
      [method, address, body ? JSON.stringify(body) : ''] as const,
    )
  const begin = (deckId: string) =>
    ask('POST', '/api/decks/import', { ...head, deckId, name: `Deck ${deckId}` })
  const colours = (deckId: string) =>
    ask('POST', `/api/decks/import/${deckId}`, { colours: [SENT_COLOUR] })
  expect(await ask('DELETE', `/api/decks/import/${overtaken}`)).toBe(200)
  expect(await begin(overtaken)).toBe(409)
  expect(await colours(overtaken)).toBe(409)
  expect(await begin(other)).toBe(200)
  expect(await colours(other)).toBe(200)
  await ask('DELETE', `/api/decks/import/${other}`)
})

test('what the page does not send the server refuses: colours that are none, decks that are not on their way', async ({
  page,
  app,
  consoleMay,
}) => {
  consoleMay.push(/status of 4\d\d/)
  await open(page, app.url)
  const post = (address: string, body: unknown) =>
    page.evaluate(
      async ([to, sent]) => {
        const response = await fetch(to, { method: 'POST', body: JSON.stringify(sent) })
        return [response.status, await response.json()] as const
      },
      [address, body] as const,
    )
  const deckId = crypto.randomUUID()
  expect((await post(`/api/decks/import/${deckId}`, { colours: [SENT_COLOUR] }))[0]).toBe(409)
  const impossible = { ...SENT_COLOUR, reading: { kind: 'lab', lab: [90, 90, 90] } }
  expect(await post(`/api/decks/import/${deckId}`, { colours: [impossible] })).toEqual([
    422,
    { ok: false, message: expect.stringMatching(/too strong for its lightness/) },
  ])
  expect((await post('/api/decks/import', { deckId, maker: '', name: 'N' }))[1]).toMatchObject({
    ok: false,
    fields: { maker: expect.any(String) },
  })
  await expect(
    make(page, 'open-deck', { deckId, maker: 'M', name: 'N', colours: 1 }),
  ).rejects.toThrow(/some are missing/)
})
