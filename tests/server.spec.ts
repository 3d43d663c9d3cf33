import { spawn } from 'node:child_process'
import { readFileSync, readdirSync, readlinkSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import { freePort, startServer } from '../scripts/lib/server.mjs'
import { open, test } from './app'
import { everyView } from './views'

test.use({ ownServer: true })

/** Inode → "local remote state" of the TCP sockets that the kernel lists. */
function tcpSockets(): Map<string, string> {
  const sockets = new Map<string, string>()
  for (const table of ['/proc/net/tcp', '/proc/net/tcp6'])
    for (const line of readFileSync(table, 'utf8').split('\n').slice(1)) {
      const cells = line.trim().split(/\s+/)
      if (cells[9]) sockets.set(cells[9], `${cells[1]} ${cells[2]} ${cells[3]}`)
    }
  return sockets
}

/** TCP sockets that a process has open. */
function socketsOf(pid: number): string[] {
  const known = tcpSockets()
  return readdirSync(`/proc/${pid}/fd`).flatMap((fd) => {
    try {
      const inode = /^socket:\[(\d+)\]$/.exec(readlinkSync(`/proc/${pid}/fd/${fd}`))?.[1]
      const socket = inode === undefined ? undefined : known.get(inode)
      return socket === undefined ? [] : [socket]
    } catch {
      return []
    }
  })
}

/** The process that has a data directory, as it says itself; none after it gave it back. */
const ownerIn = (dataDir: string): string =>
  readFileSync(join(dataDir, 'server.lock'), 'utf8').trim()

test('the server has sockets on the loopback address and its own port only', async ({
  page,
  app,
  consoleMay,
}) => {
  // One of the views is an address of nothing.
  consoleMay.push(/status of 404/)
  // One of each kind: of the store, of a visit, of a room with its workers, of nothing.
  const views = await everyView(page, app)
  for (const address of views.filter((_, n) => n % 6 === 0)) await open(page, address)
  const sockets = socketsOf(app.pid)
  const port = app.port.toString(16).toUpperCase().padStart(4, '0')
  // 127.0.0.1 as the kernel writes it; state 0A is listening.
  expect(sockets.filter((socket) => socket.endsWith(' 0A'))).toEqual([
    `0100007F:${port} 00000000:0000 0A`,
  ])
  for (const socket of sockets) expect(socket).toMatch(new RegExp(`^0100007F:${port} `))
})

test('a second server on the same data is refused in words', async ({ app }) => {
  const second = startServer({ port: await freePort(), dataDir: app.dataDir })
  await expect(second).rejects.toThrow(
    new RegExp(`in use by another Elm Swatch server \\(process ${app.pid},`),
  )
})

test('told to stop, the server closes its data, gives the lock back and ends well', async ({
  ownApp: app,
}) => {
  expect(ownerIn(app.dataDir)).toBe(String(app.pid))
  expect((await app.end('SIGTERM')).code).toBe(0)
  expect(ownerIn(app.dataDir)).toBe('')
  await app.startAgain()
})

test('a page under a foreign name gets nothing, and a foreign page cannot write', async ({
  app,
  request,
}) => {
  const foreignName = await request.get(app.url, {
    headers: { host: 'evil.example' },
    failOnStatusCode: false,
  })
  expect(foreignName.status()).toBe(403)
  const begin = {
    data: {
      deckId: crypto.randomUUID(),
      maker: 'M',
      name: 'N',
      baseL: '96',
      baseA: '0',
      baseB: '1',
    },
  }
  const foreignPage = await request.post(`${app.url}/api/decks/import`, {
    ...begin,
    headers: { origin: 'http://evil.example' },
  })
  expect(foreignPage.status()).toBe(403)
  const rebound = await request.post(`${app.url}/api/decks/import`, {
    ...begin,
    headers: { origin: 'http://evil.example', host: 'evil.example' },
  })
  expect(rebound.status()).toBe(403)
  const noPage = await request.post(`${app.url}/api/decks/import`, begin)
  expect(noPage.status()).toBe(403)
  const { deckId } = begin.data
  for (const method of ['post', 'delete'] as const) {
    const step = await request[method](`${app.url}/api/decks/import/${deckId}`, {
      data: { colours: [] },
      headers: { origin: 'http://evil.example' },
    })
    expect(step.status(), method).toBe(403)
  }
  for (const handler of ['photos', 'measurements']) {
    const sent = await request.post(`${app.url}/api/${handler}`, {
      data: 'x',
      headers: { origin: 'http://evil.example' },
    })
    expect(sent.status(), handler).toBe(403)
  }
})

test('what a browser asks for by itself is there', async ({ app, request }) => {
  const icon = await request.get(`${app.url}/favicon.ico`)
  expect([icon.status(), icon.headers()['content-type']]).toEqual([200, 'image/x-icon'])
})

test('the server looks at a photo for itself: what is none is refused in words and leaves no file', async ({
  app,
  request,
}) => {
  const sent = await request.post(`${app.url}/api/photos`, {
    data: Buffer.from('not a photo'),
    headers: { origin: app.url, 'content-type': 'image/jpeg' },
  })
  expect(sent.status()).toBe(422)
  expect(await sent.json()).toEqual({
    ok: false,
    message: 'Expected a whole JPEG, PNG or WebP photo; this one cannot be decoded.',
  })
  const huge = await request.post(`${app.url}/api/photos`, {
    data: Buffer.alloc(8_000_001),
    headers: { origin: app.url, 'content-type': 'image/jpeg' },
  })
  expect(huge.status()).toBe(413)
  expect((await request.get(`${app.url}/api/photos/${'0'.repeat(64)}`)).status()).toBe(404)
})

test('npm run demo says where it is, keeps what was recorded, comes again after a kill, and stops on Ctrl-C', async ({
  page,
  ownApp: app,
}) => {
  await app.end('SIGTERM')
  const env = { ...process.env, PORT: String(app.port), ELM_DATA_DIR: app.dataDir }
  const demo = spawn('npm', ['run', '-s', 'demo'], {
    env,
    detached: true,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const ended = new Promise<number | null>((resolve) => demo.once('exit', resolve))
  const line = await new Promise<string>((resolve) =>
    demo.stdout.once('data', (data: Buffer) => resolve(data.toString())),
  )
  expect(line).toBe(`Elm Swatch is ready at http://127.0.0.1:${app.port}\n`)
  await open(page, app.url)
  await expect(page.getByRole('link', { name: 'The Orrin-Vale household' })).toBeVisible()
  // Taken down by the system, it comes again by itself.
  const first = ownerIn(app.dataDir)
  process.kill(Number(first), 'SIGKILL')
  await expect.poll(() => ownerIn(app.dataDir)).not.toBe(first)
  await expect(async () => open(page, `${app.url}/settings`)).toPass()
  // What a terminal does on Ctrl-C: the signal goes to the whole group.
  process.kill(-demo.pid!, 'SIGINT')
  await ended
  await expect.poll(() => ownerIn(app.dataDir)).toBe('')
  await app.startAgain()
})
