'use client'

import { useEffect } from 'react'
import { tellFault } from '@/ui/frame/tell-fault'

/** The page itself failed, its frame included: words, and a way back. */
export default function GlobalError({ error }: { error: Error; reset: () => void }) {
  useEffect(() => tellFault('the whole of', error), [error])
  return (
    <html lang="en">
      <body>
        <main style={{ maxWidth: '40rem', margin: '4rem auto', fontFamily: 'sans-serif' }}>
          <h1>Something went wrong here</h1>
          <p>What was saved before is safe on disk. What waits on this device is sent later.</p>
          <p>
            <button type="button" onClick={() => location.reload()}>
              Load again
            </button>{' '}
            {/* A page that failed whole is left whole. */}
            {/* eslint-disable-next-line @next/next/no-html-link-for-pages */}
            <a href="/">All visits</a>
          </p>
        </main>
      </body>
    </html>
  )
}
