'use client'

import { Command } from 'cmdk'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import type { Destination } from './steps'

const GROUPS: readonly Destination['kind'][] = ['step', 'visit', 'room', 'keeper', 'candidate']
const GROUP_WORDS: Record<Destination['kind'], string> = {
  step: 'Steps',
  visit: 'Visits',
  room: 'Rooms',
  keeper: 'What stays',
  candidate: 'Candidates',
}

/** A search over everything one can go to from here: letters find, arrow keys choose, Enter goes. */
export function Palette({
  destinations,
  takeTyped,
  onClose,
}: {
  readonly destinations: readonly Destination[]
  /** What was typed before it was there. */
  readonly takeTyped: () => string
  readonly onClose: () => void
}) {
  const router = useRouter()
  const dialog = useRef<HTMLDialogElement>(null)
  const input = useRef<HTMLInputElement>(null)
  const [search, setSearch] = useState('')
  useEffect(() => {
    dialog.current?.showModal()
    // A dialog gives the focus to the list around it.
    input.current?.focus()
  }, [])
  return (
    <dialog
      ref={dialog}
      aria-label="Go to"
      className="m-auto mt-24 w-[min(36rem,92vw)] border border-ink bg-paper p-0 text-ink"
      onClose={onClose}
    >
      <Command label="Go to" loop>
        <Command.Input
          ref={input}
          value={search}
          onValueChange={setSearch}
          // From here on keys come by themselves; those of before are held back until now.
          onFocus={() => {
            const typed = takeTyped()
            setSearch((now) => typed + now)
          }}
          placeholder="A few letters of its name"
          className="field border-0 border-b border-ink"
        />
        <Command.List className="max-h-[60dvh] overflow-y-auto">
          <Command.Empty className="px-3 py-4 text-small text-dim">
            Nothing here has that name.
          </Command.Empty>
          {GROUPS.filter((kind) => destinations.some((each) => each.kind === kind)).map((kind) => (
            <Command.Group
              key={kind}
              heading={GROUP_WORDS[kind]}
              className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-fine [&_[cmdk-group-heading]]:text-dim"
            >
              {destinations
                .filter((each) => each.kind === kind)
                .map(({ href, name, says }) => (
                  <Command.Item
                    key={`${href} ${name}`}
                    value={`${name} ${says} ${href}`}
                    className="flex min-h-11 items-center justify-between gap-4 px-3 text-small aria-selected:bg-ink aria-selected:text-paper"
                    onSelect={() => {
                      dialog.current?.close()
                      router.push(href)
                    }}
                  >
                    <span>{name}</span>
                    <span className="text-fine">{says}</span>
                  </Command.Item>
                ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </dialog>
  )
}
