'use client'

import { useEffect, useState } from 'react'
import type { InsideOption } from './inside-room'
import type { SurfaceSeen } from '@/core/room/seen-table'
import type { RoomInWorker } from '@/workers/room-client'
import { useLight } from '../light-bar/light-context'
import { showing } from './showing'

const TABLE_SLOT = 9

/** The same as the picture for whoever reads: each surface, the light on it, and its colour in words. */
export function SeenTable({
  worker,
  view,
  beyond,
  option,
}: {
  readonly worker: RoomInWorker
  readonly view: number
  readonly beyond: readonly InsideOption[]
  readonly option: InsideOption
}) {
  const [rows, setRows] = useState<readonly SurfaceSeen[]>([])
  const { roomDay, choice, light } = useLight()
  useEffect(() => {
    worker.show(
      TABLE_SLOT,
      {
        ...showing(roomDay, choice, light, [option, ...beyond]),
        ...{ view, width: 16, height: 10, step: 1, withTable: true, over: [] },
      },
      ({ table }) => setRows(table ?? []),
    )
  }, [worker, roomDay, choice, light, option, beyond, view])
  if (rows.length === 0) return null
  return (
    <section aria-label="In words" className="min-w-0 flex-1 text-small">
      <table className="w-full max-w-3xl">
        <caption className="pb-1 text-left">In words: {option.words}, in this light</caption>
        <thead>
          <tr className="text-left">
            <th scope="col">Surface</th>
            <th scope="col" className="px-3 text-right">
              Light on it
            </th>
            <th scope="col">Colour</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, lux, words }) => (
            <tr key={name} className="border-t border-rule">
              <th scope="row" className="py-1 text-left font-normal">
                {name}
              </th>
              <td className="px-3 text-right whitespace-nowrap">
                {Math.round(lux).toLocaleString('en')} lux
              </td>
              <td>{words}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
