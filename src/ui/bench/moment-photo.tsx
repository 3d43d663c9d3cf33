'use client'

import { useState } from 'react'

/** A photo of the moment, kept with the last look. */
export function MomentPhoto({
  photoHash,
  onKeep,
}: {
  readonly photoHash: string | null
  readonly onKeep: (photoHash: string) => void
}) {
  const [said, setSaid] = useState('')

  async function take(file: File | undefined): Promise<void> {
    if (!file) return
    setSaid('Keeping the photo')
    const { drawPhoto, keepDrawnPhoto, PhotoError } = await import('../photo/photo-file')
    const canvas = document.createElement('canvas')
    try {
      await drawPhoto(file, canvas)
      const hash = await keepDrawnPhoto(canvas)
      if (hash) onKeep(hash)
      setSaid(hash ? '' : 'The photo could not be saved; the look was. Take it again.')
    } catch (error) {
      if (!(error instanceof PhotoError)) throw error
      setSaid(error.message)
    }
  }

  return (
    <span className="flex items-center gap-2">
      <label className="key px-2">
        {photoHash ? 'Another photo' : 'Photo'}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          aria-label="Photo of the moment"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      {photoHash && <PhotoLink hash={photoHash} />}
      {said && (
        <span role="status" className="text-fine">
          {said}
        </span>
      )}
    </span>
  )
}

/** The photo of a look, opened by itself. */
export function PhotoLink({ hash }: { readonly hash: string }) {
  return (
    <a
      href={`/api/photos/${hash}`}
      target="_blank"
      rel="noreferrer"
      className="underline underline-offset-4"
    >
      its photo
    </a>
  )
}
