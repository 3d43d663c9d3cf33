'use client'

import { useEffect, useState, type ComponentType } from 'react'
import { useOutbox } from './send'

/**
 * What waits for the server, and what of earlier was not kept: said in this one place. Nothing where nothing does. The part
 * that says it is fetched once the page is there: when the server is away it is too late.
 */
export function WaitingList() {
  const { waiting, aside, trouble, unsafe, refused } = useOutbox()
  const [Popover, setPopover] = useState<ComponentType | null>(null)
  useEffect(() => {
    void import('./waiting-popover').then(
      ({ WaitingPopover }) => setPopover(() => WaitingPopover),
      () => undefined,
    )
  }, [])
  const isNothing =
    refused.length + aside.length === 0 &&
    unsafe === null &&
    (waiting.length === 0 || trouble === null)
  return isNothing || !Popover ? null : <Popover />
}
