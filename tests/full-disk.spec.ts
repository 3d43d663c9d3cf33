import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from '@playwright/test'
import sharp from 'sharp'
import { withSmallDisk } from '../scripts/faults/harm'
import { freePort, startServer } from '../scripts/lib/server.mjs'
import { test } from './app'
import { SEEDED } from './global-setup'

test('on a full disk a change, a photo, a deck and a visit’s file are each refused in words; pages answer, and with room it goes on', async ({
  request,
}) => {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-full-'))
  const isHad = await withSmallDisk(join(scratch, 'disk'), 400, async (disk) => {
    const dataDir = join(disk.dir, 'data')
    cpSync(SEEDED, dataDir, { recursive: true, preserveTimestamps: true })
    const { url, child, ended } = await startServer({ port: await freePort(), dataDir })
    const hand = { actor: 'Ines Tarrow', device: 'tablet', madeAt: new Date().toISOString() }
    const photo = await sharp({
      create: { width: 64, height: 48, channels: 3, background: '#a08060' },
    })
      .jpeg()
      .toBuffer()
    const visit = await (await request.get(url)).text()
    const [, visitId] = /visits\/([0-9a-f-]{36})/.exec(visit)!
    const file = await (await request.get(`${url}/api/visits/${visitId}/file`)).body()
    const send = (path: string, data: unknown) =>
      request.post(url + path, { headers: { origin: url }, data })
    const all = async () => [
      await send('/api/commands', {
        ...hand,
        ...{ id: crypto.randomUUID(), kind: 'finish-visit', payload: { visitId, finished: true } },
      }),
      await send('/api/photos', photo),
      await send('/api/decks/shipped', {
        ...hand,
        ...{ commandId: crypto.randomUUID(), deckId: crypto.randomUUID() },
      }),
      await send(
        `/api/visit-file?id=${crypto.randomUUID()}&actor=Ines&device=tablet&merge=yes`,
        file,
      ),
    ]
    try {
      disk.fill(1_000_000)
      for (const answer of await all()) {
        expect(answer.status(), answer.url()).toBe(503)
        expect(await answer.json()).toMatchObject({
          ok: false,
          message: expect.stringMatching(/^The disk of the data is nearly full: \d+ MB are free/),
        })
      }
      expect((await request.get(`${url}/visits/${visitId}/brief`)).status()).toBe(200)
      disk.free()
      for (const answer of await all()) expect(answer.status(), answer.url()).not.toBe(503)
    } finally {
      child.kill('SIGKILL')
      await ended
    }
  })
  test.skip(!isHad, 'this user may not mount a disk')
  rmSync(scratch, { recursive: true })
})
