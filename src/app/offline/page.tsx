import { ReadingPage } from '@/ui/frame/reading-page'

export const metadata = { title: 'Not on this device' }

/** Shown for a page that is asked for without a server and was never taken along. */
export default function OfflinePage() {
  return (
    <ReadingPage>
      <h1 className="text-head">This page is not on this device</h1>
      <p className="mt-4 max-w-prose">
        The server is not answering, and this page was not opened on this device before. A visit
        that was opened on this device is here with all of its rooms; what was given meanwhile waits
        on this device.
      </p>
      {/* Not a link of the router: it would ask the server. */}
      {/* eslint-disable-next-line @next/next/no-html-link-for-pages */}
      <a href="/" className="key mt-6 inline-flex">
        Visits
      </a>
    </ReadingPage>
  )
}
