import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { request as httpRequest } from 'node:http'
import { networkInterfaces, tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import { freePort } from '../scripts/lib/server.mjs'
import { open, test } from './app'
import { NAMES } from './names'

const PASSCODE = 'elm leaves in autumn'
const dir = mkdtempSync(join(tmpdir(), 'elm-network-'))
test.afterAll(() => rmSync(dir, { recursive: true, force: true, maxRetries: 5 }))

const children: ChildProcess[] = []
test.afterEach(async () => {
  for (const child of children.splice(0)) {
    const ended = child.exitCode !== null || new Promise((resolve) => child.on('exit', resolve))
    child.kill('SIGTERM')
    await ended
  }
})

/** `npm start` with settings of its own: what it says, until it is ready or has ended. */
function start(env: Readonly<Record<string, string>>): Promise<string> {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  children.push(child)
  let said = ''
  return new Promise((resolve) => {
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data: Buffer) => {
        said += data.toString()
        // What it says of itself comes with the line that says where it is.
        if (said.includes('ready at')) setImmediate(() => resolve(said))
      })
    child.on('exit', () => resolve(said))
  })
}

/** An address of this machine that others in its network would use. */
const address = (): string =>
  Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .find(({ family, internal }) => family === 'IPv4' && !internal)?.address ?? '127.0.0.2'

test('other devices are let in by a passcode only: set first, asked for once, slowed, ended everywhere', async ({
  page,
  request,
  consoleMay,
}) => {
  test.setTimeout(120_000)
  // On plain http a browser says of itself which protections it leaves out.
  consoleMay.push(/401|429|Cross-Origin-Opener-Policy header has been ignored/)
  const dataDir = join(dir, 'data')
  const port = String(await freePort())
  const wide = { ELM_DATA_DIR: dataDir, PORT: port, ELM_HOST: '0.0.0.0' }
  expect(await start(wide)).toContain('Set one with: npm run passcode')
  expect(await start({ ...wide, ELM_CERT: 'c.pem' })).toMatch(/npm run passcode|name both/)

  const passcode = (input: string, ...args: string[]) =>
    execFileSync(process.execPath, ['--import', 'tsx', 'scripts/passcode.ts', ...args], {
      env: { ...process.env, ELM_DATA_DIR: dataDir },
      input: `${input}\n`,
      encoding: 'utf8',
      stdio: ['pipe', 'pipe', 'pipe'],
    })
  expect(() => passcode('short')).toThrow(/at least 8 characters, got 5/)
  passcode(PASSCODE)
  const said = await start(wide)
  expect(said).toContain('What goes over the network is not encrypted')

  const url = `http://${address()}:${port}`
  // Nothing without it: no page, no data, no change, nothing past the proxy; under its own name or this machine’s.
  for (const at of [url, `http://127.0.0.1:${port}`]) {
    expect((await request.get(`${at}/`, { maxRedirects: 0 })).headers().location).toContain(
      '/enter',
    )
    expect((await request.get(`${at}/api/backup`)).status()).toBe(401)
    expect((await request.get(`${at}/api/offline/shell`)).status()).toBe(401)
    for (const path of ['commands', 'photos', 'visit-file', 'decks/import', 'measurements'])
      expect(
        (await request.post(`${at}/api/${path}`, { data: '{}', headers: { origin: at } })).status(),
        path,
      ).toBeGreaterThan(400)
  }
  expect((await request.get(`${url}/`, { headers: { host: 'evil.example' } })).status()).toBe(403)
  const crossSite = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }
  expect((await request.get(`${url}/enter`, { headers: crossSite })).status()).toBe(403)
  const guess = (origin: string, at = url) =>
    request.post(`${at}/api/enter`, { data: { passcode: 'x' }, headers: { origin } })
  expect((await guess('http://evil.example')).status()).toBe(403)

  // Typed wrong, then right: the page that was asked for opens.
  await open(page, `${url}/settings`)
  await page.getByLabel('Passcode of this store').fill('wrong passcode')
  await page.keyboard.press('Enter')
  await expect(page.getByText('That is not the passcode.')).toBeVisible()
  await page.getByLabel('Passcode of this store').fill(PASSCODE)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible()
  const [cookie] = await page.context().cookies()
  expect(cookie).toMatchObject({ name: 'elm-entry', httpOnly: true, sameSite: 'Strict' })
  expect(cookie!.expires * 1000 - Date.now()).toBeLessThan(8 * 86_400_000)
  // A signature that is not ours is none.
  const forged = { cookie: `elm-entry=${cookie!.value.slice(0, -4)}AAAA` }
  expect((await request.get(`${url}/api/backup`, { headers: forged })).status()).toBe(401)

  // Not let in any more, what is given waits with words, is safe from a reload where that is possible, and goes once somebody is.
  await page.getByLabel(NAMES.yourName).fill('Mira Holl')
  await page.context().clearCookies()
  await page.getByRole('button', { name: NAMES.saveTheSettings }).click()
  await page.getByRole('button', { name: '1 waiting for the server' }).click()
  const waits = page.getByRole('dialog', { name: NAMES.whatWaits })
  await expect(waits).toContainText('Enter the passcode again, then this goes on.')
  await expect(waits).toContainText('Over plain http this page cannot be opened again')
  await page.context().addCookies([cookie!])
  await waits.getByRole('button', { name: NAMES.tryAgainNow }).click()
  await expect(waits).toHaveCount(0)
  await page.reload()
  await expect(page.getByLabel(NAMES.yourName)).toHaveValue('Mira Holl')

  // Ended everywhere: a cookie of before is worth nothing.
  await page.getByRole('button', { name: 'Sign out on every device' }).click()
  await expect(page.getByLabel('Passcode of this store')).toBeVisible()
  const before = { cookie: `elm-entry=${cookie!.value}` }
  expect((await request.get(`${url}/api/backup`, { headers: before })).status()).toBe(401)

  // Guesses are counted by address, and then not even looked at; what one says of itself makes it nobody else.
  for (let n = 0; n < 5; n++)
    expect(
      (
        await request.post(`${url}/api/enter`, {
          data: { passcode: 'x' },
          headers: { origin: url, 'x-forwarded-for': `10.0.0.${n}`, 'x-elm-peer': `10.0.1.${n}` },
        })
      ).status(),
    ).toBe(401)
  const late = await request.post(`${url}/api/enter`, {
    data: { passcode: PASSCODE },
    headers: { origin: url },
  })
  expect([late.status(), late.headers()['retry-after']]).toEqual([429, '60'])
  // From another address somebody else still gets in, and so does a program of this user from the one that is slowed.
  const local = `127.0.0.1:${port}`
  const enterFrom = (localAddress: string, own: Readonly<Record<string, string>> = {}) =>
    new Promise<number | undefined>((resolve, reject) => {
      const headers = { host: local, origin: `http://${local}`, ...own }
      const asked = httpRequest(
        { host: '127.0.0.1', port, path: '/api/enter', method: 'POST', localAddress, headers },
        ({ statusCode }) => resolve(statusCode),
      )
      asked.on('error', reject)
      asked.end(JSON.stringify({ passcode: PASSCODE }))
    })
  const { token } = JSON.parse(readFileSync(join(dataDir, 'control.json'), 'utf8')) as {
    token: string
  }
  for (let n = 0; n < 5; n++)
    expect((await guess(`http://${local}`, `http://${local}`)).status()).not.toBe(200)
  expect(await enterFrom('127.0.0.1')).toBe(429)
  expect(await enterFrom('127.0.0.9')).toBe(200)
  expect(await enterFrom('127.0.0.1', { 'x-elm-control': token })).toBe(200)
})

test('with the files of a certificate it is reached by https, and the cookie goes no other way', async ({
  playwright,
}) => {
  test.setTimeout(120_000)
  const dataDir = join(dir, 'secure')
  execFileSync(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'rsa:2048',
      '-nodes',
      '-days',
      '2',
      '-subj',
      '/CN=elm.test',
      '-keyout',
      join(dir, 'key.pem'),
      '-out',
      join(dir, 'cert.pem'),
    ],
    { stdio: 'ignore' },
  )
  execFileSync(process.execPath, ['--import', 'tsx', 'scripts/passcode.ts'], {
    env: { ...process.env, ELM_DATA_DIR: dataDir },
    input: `${PASSCODE}\n`,
  })
  const port = String(await freePort())
  const said = await start({
    ...{ ELM_DATA_DIR: dataDir, PORT: port, ELM_HOST: '0.0.0.0' },
    ...{ ELM_CERT: join(dir, 'cert.pem'), ELM_KEY: join(dir, 'key.pem') },
  })
  expect(said).toMatch(/ready at https:/)
  expect(said).not.toContain('not encrypted')
  const url = `https://${address()}:${port}`
  const context = await playwright.request.newContext({ ignoreHTTPSErrors: true })
  expect((await context.get(`${url}/api/backup`)).status()).toBe(401)
  const entered = await context.post(`${url}/api/enter`, {
    data: { passcode: PASSCODE },
    headers: { origin: url },
  })
  expect(entered.headers()['set-cookie']).toMatch(
    /; HttpOnly; SameSite=Strict; Max-Age=\d+; Secure$/,
  )
  expect((await context.get(`${url}/settings`)).status()).toBe(200)
  await context.dispose()
})
