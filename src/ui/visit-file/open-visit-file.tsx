'use client'

import { useId, useState } from 'react'
import { newId } from '../record/new-id'
import { NO_ANSWER } from '../record/post'
import { thisDevice, whoRecords } from '../record/send'
import { useRefresh } from '../frame/page-address'

/** Takes a visit in from its file; of one that is here already, what it lacks, if that is wanted. */
export function OpenVisitFile() {
  const refresh = useRefresh()
  const inputId = useId()
  const [file, setFile] = useState<File | null>(null)
  const [said, setSaid] = useState('')
  const [isHere, setIsHere] = useState(false)
  const [busy, setBusy] = useState(false)

  async function send(of: File, merge: boolean): Promise<void> {
    setBusy(true)
    setIsHere(false)
    setSaid(`Reading ${of.name}`)
    const asked = new URLSearchParams({
      id: newId(),
      actor: whoRecords(),
      device: thisDevice(),
      merge: merge ? 'yes' : 'no',
    })
    const answer = await fetch(`/api/visit-file?${asked}`, { method: 'POST', body: of }).catch(
      () => null,
    )
    const body = (await answer?.json().catch(() => null)) as {
      ok: boolean
      message?: string
      said?: string
    } | null
    setBusy(false)
    setSaid(body ? (body.ok ? `Read: ${body.said}` : (body.message ?? '')) : NO_ANSWER)
    setIsHere(answer?.status === 409)
    if (body?.ok) refresh()
  }

  return (
    <div className="flex flex-wrap items-center gap-3">
      <label htmlFor={inputId} className="key cursor-pointer" aria-disabled={busy}>
        Open a visit file
      </label>
      <input
        id={inputId}
        type="file"
        accept=".zip,application/zip"
        className="sr-only"
        disabled={busy}
        onChange={(event) => {
          const [chosen] = event.target.files ?? []
          event.target.value = ''
          if (!chosen) return
          setFile(chosen)
          void send(chosen, false)
        }}
      />
      <span role="status" aria-label="The file" className="text-small">
        {said}
      </span>
      {isHere && file && (
        <button type="button" className="key" onClick={() => void send(file, true)}>
          Add what this store lacks
        </button>
      )}
    </div>
  )
}
