'use client'

import { Command } from 'cmdk'
import { useParams, useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { useDeckSearch } from '../deck/deck-search'
import { deckWords } from '../deck/deck-words'
import { paintAddress } from './paint-address'
import type { Destination } from './steps'

const GROUPS: readonly Destination['kind'][] = ['step', 'visit', 'room', 'keeper', 'candidate']
const GROUP_WORDS: Record<Destination['kind'], string> = {
  step: 'Steps',
  visit: 'Visits',
  room: 'Rooms',
  keeper: 'What stays',
  candidate: 'Candidates',
}

const GROUP_CLASS =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-fine [&_[cmdk-group-heading]]:text-dim'
const ITEM_CLASS =
  'flex min-h-11 items-center justify-between gap-4 px-3 text-small aria-selected:bg-ink aria-selected:text-paper'

// Of decks of thousands a letter or two says nothing.
const LETTERS_OF_A_PAINT = 3

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
  const at = useParams<{ visitId?: string; roomId?: string }>()
  const { found: paints } = useDeckSearch(search.trim().length < LETTERS_OF_A_PAINT ? '' : search)
  function go(href: string): void {
    dialog.current?.close()
    router.push(href)
  }
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
          {paints.length > 0 && (
            <Command.Group heading="Paints of the decks" className={GROUP_CLASS}>
              {paints.map(({ id, code, name, deck }) => (
                <Command.Item
                  key={id}
                  value={`${code} ${name} ${deckWords(deck)}`}
                  className={ITEM_CLASS}
                  onSelect={() => go(paintAddress(at, id))}
                >
                  <span>
                    {code} {name}
                  </span>
                  <span className="text-fine">{deckWords(deck)}</span>
                </Command.Item>
              ))}
            </Command.Group>
          )}
          {GROUPS.filter((kind) => destinations.some((each) => each.kind === kind)).map((kind) => (
            <Command.Group key={kind} heading={GROUP_WORDS[kind]} className={GROUP_CLASS}>
              {destinations
                .filter((each) => each.kind === kind)
                .map(({ href, name, says }) => (
                  <Command.Item
                    key={`${href} ${name}`}
                    value={`${name} ${says} ${href}`}
                    className={ITEM_CLASS}
                    onSelect={() => go(href)}
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
