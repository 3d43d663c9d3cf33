'use client'

import { useEffect } from 'react'
import { tellFault } from '@/ui/frame/tell-fault'

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  useEffect(() => tellFault('a page at', error), [error])
  return (
    <main className="mx-auto max-w-2xl px-6 py-16">
      <h1 className="text-head">Something went wrong here</h1>
      <p className="mt-2">What was saved before is safe on disk. This step was not saved.</p>
      <button type="button" className="key mt-6" onClick={reset}>
        Try again
      </button>
    </main>
  )
}
