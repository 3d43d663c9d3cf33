import { expect, type Page } from '@playwright/test'
import type { KindName, PayloadOf } from '../src/commands/kinds'

let made = 0

/** A fresh id, steady within a run. */
export const freshId = (): string =>
  `${(++made).toString(16).padStart(8, '0')}-1111-4111-8111-111111111111`

/** Makes a change through the application's own door, as one of its pages would. */
export async function make<K extends KindName>(
  page: Page,
  kind: K,
  payload: PayloadOf<K>,
): Promise<void> {
  const command = {
    id: freshId(),
    kind,
    payload,
    actor: 'Ines Tarrow',
    device: 'test',
    madeAt: '2026-06-21T10:00:00.000Z',
  }
  const answer = await page.evaluate(async (sent) => {
    const response = await fetch('/api/commands', { method: 'POST', body: JSON.stringify(sent) })
    return (await response.json()) as { ok: boolean; message?: string }
  }, command)
  expect(answer, `${kind}: ${JSON.stringify(answer)}`).toMatchObject({ ok: true })
}
