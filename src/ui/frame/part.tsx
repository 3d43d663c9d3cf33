'use client'

import type { ComponentType } from 'react'
import { Caught } from './caught'
import { tellFault } from './tell-fault'

const TRIES = 5
const AGAIN_MS = 2000

const pauseFor = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))

/**
 * A part of a page, asked for a few times: a server that is away for a moment costs the wait, not the page. One that does not
 * come says so in its place; one that fails while it is drawn is caught there.
 *
 * @param pause waits between two tries
 */
export async function part<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  pause = pauseFor,
): Promise<ComponentType<Props>> {
  for (let tries = 1; ; tries++)
    try {
      const Loaded = await load()
      return function Part(props: Props) {
        return (
          <Caught>
            <Loaded {...props} />
          </Caught>
        )
      }
    } catch (error) {
      if (tries < TRIES) await pause(AGAIN_MS)
      else {
        tellFault('loading a part of', error)
        return LoadAgain
      }
    }
}

/** In the place of a part that did not come. */
function LoadAgain() {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 p-3 text-small">
      <p>A part of this page could not be loaded.</p>
      <button type="button" className="key" onClick={() => location.reload()}>
        Load again
      </button>
    </div>
  )
}
