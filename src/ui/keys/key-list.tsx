'use client'

import { useRef, useState } from 'react'
import { keysInForce, useKeys, type KeyWords } from './use-keys'

/** The keys in force on the view at hand, asked for with a question mark. */
export function KeyList() {
  const dialog = useRef<HTMLDialogElement>(null)
  const [keys, setKeys] = useState<KeyWords>([])

  function show(): void {
    setKeys(keysInForce())
    dialog.current?.showModal()
  }

  useKeys({ '?': show }, [['?', 'this list']])
  return (
    <>
      <button
        type="button"
        className="min-h-9 whitespace-nowrap underline underline-offset-4 max-sm:hidden"
        onClick={show}
      >
        Keys <kbd>?</kbd>
      </button>
      <dialog
        ref={dialog}
        aria-label="Keys in force"
        className="fixed top-auto right-4 bottom-4 left-auto m-0 max-h-[90dvh] w-88 overflow-y-auto border border-ink bg-paper p-5 text-ink"
      >
        <h2 className="mb-2 text-title">Keys in force here</h2>
        <dl className="grid grid-cols-[5rem_1fr] gap-y-1 text-small">
          {keys.map(([key, does]) => (
            <div key={`${key} ${does}`} className="contents">
              <dt className="font-medium">{key}</dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
        <button type="button" className="key mt-4" onClick={() => dialog.current?.close()}>
          Close
        </button>
      </dialog>
    </>
  )
}
