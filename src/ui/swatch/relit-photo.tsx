'use client'

import { useEffect, useState, type ReactNode } from 'react'
import { RelitPicture, type Relit } from './relit-picture'

/** The store has it no more; or nobody answers who could say. */
type Missing = 'gone' | 'out of reach'

const MISSING_WORDS: Readonly<Record<Missing, string>> = {
  gone: 'Its photo is gone: these are its colours by share. Take it again with a card.',
  'out of reach': 'Its photo is not on this device: these are its colours by share.',
}

// A patch is prepared once, whoever shows it; one that is missing is asked for again by the next page.
const prepared = new Map<string, Promise<Relit | Missing>>()

function relitPhoto(hash: string): Promise<Relit | Missing> {
  const known = prepared.get(hash)
  if (known) return known
  const made = prepare(hash).catch((): Missing => 'out of reach')
  prepared.set(hash, made)
  void made.then((relit) => typeof relit === 'string' && prepared.delete(hash))
  return made
}

async function prepare(hash: string): Promise<Relit | Missing> {
  const [{ relitPatch }, response] = await Promise.all([
    import('@/core/photo/relit-patch'),
    fetch(`/api/photos/${hash}`),
  ])
  if (!response.ok) return response.status === 404 ? 'gone' : 'out of reach'
  const image = await createImageBitmap(await response.blob())
  const canvas = new OffscreenCanvas(image.width, image.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.drawImage(image, 0, 0)
  const { width, height } = image
  image.close()
  return relitPatch({ bytes: context.getImageData(0, 0, width, height).data, width, height })
}

/**
 * A finish as its own photograph in the light of the page: every pixel's surface lit and seen as swatches are. Until it is
 * there, and where its photo is missing, its colours stand for it.
 */
export function RelitPhoto({
  hash,
  label,
  children,
}: {
  readonly hash: string
  readonly label: string
  /** Its colours by share. */
  readonly children: ReactNode
}) {
  const [shown, setShown] = useState<{ readonly hash: string; readonly relit: Relit | Missing }>()
  useEffect(() => {
    let isWanted = true
    void relitPhoto(hash).then((relit) => {
      if (isWanted) setShown({ hash, relit })
    })
    return () => {
      isWanted = false
    }
  }, [hash])
  if (shown?.hash !== hash) return children
  if (typeof shown.relit !== 'string')
    return <RelitPicture relit={shown.relit} label={`${label}, its own photograph in this light`} />
  return (
    <span className="relative block h-full w-full">
      {children}
      <span className="absolute bottom-0 left-0 bg-paper px-1 text-fine">
        {MISSING_WORDS[shown.relit]}
      </span>
    </span>
  )
}
