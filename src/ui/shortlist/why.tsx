'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { chancePercent, JUDGEMENT_WORDS } from '@/core/pairing/chance'
import type { ReadingSource } from '@/core/paint/reading'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { pairingTable } from '@/core/ranking/pairing-table'
import { judgeInRoom } from '@/core/ranking/rank-for-room'
import { eyeOf, type LookedPaint } from '@/core/record/eye-said'
import type { RankedFor } from './ranked-for'
import { Figures } from '../form/figures'
import { useLight } from '../light-bar/light-context'
import { useShown } from '../record/model-shown'
import { EyeLine } from '../verdict/eye-line'
import { JudgementMark } from '../verdict/verdict-mark'

/** The whole pairing table of a colour in the room: what stays × the room's key lights, words first. */
export function Why({
  paint,
  reflectance,
  source,
  room,
}: {
  readonly paint: { readonly deckColourId: string; readonly strengthPercent: number }
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  readonly room: RankedFor
}) {
  const { roomDay } = useLight()
  useShown([paint])
  const table = useMemo(
    () => pairingTable(room, roomDay, reflectance, source),
    [room, roomDay, reflectance, source],
  )
  const said = useMemo(() => {
    const ranked = rankedRoomOf(room, roomDay)
    return ranked.lights.length > 0 && ranked.finishes.length > 0
      ? judgeInRoom(ranked)(reflectance, source)
      : null
  }, [reflectance, source, room, roomDay])
  if (table.length === 0)
    return (
      <p className="text-small">With what stays and a light entered, each pair is judged here.</p>
    )
  const figures = (
    <ul>
      {table.map(({ keeperId, name, cells }) => (
        <li key={keeperId}>
          {name}:{' '}
          {cells
            .map(
              ({ light, judged: { chance, wall, finish, score } }) =>
                `${light} ${chancePercent(chance)}, ΔJ′ ${(wall.j - finish.j).toFixed(1)}, ` +
                `lean ${wall.c.toFixed(1)} at ${wall.hueDeg.toFixed(0)}° beside ${finish.c.toFixed(1)} at ${finish.hueDeg.toFixed(0)}°, ` +
                `${score.toFixed(1)} of 10`,
            )
            .join('; ')}
        </li>
      ))}
    </ul>
  )
  return (
    <section aria-label="Why" className="overflow-x-auto">
      <table className="w-full border-collapse text-left text-small">
        <caption className="sr-only">
          How it sits with what stays, in each light of the room
        </caption>
        <thead>
          <tr className="border-b border-ink">
            <th scope="col" className="py-1 pr-3 font-medium">
              Beside
            </th>
            {table[0]!.cells.map(({ light }) => (
              <th key={light} scope="col" className="py-1 pr-3 font-medium">
                {light}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.map(({ keeperId, name, cells }) => (
            <tr key={keeperId} className="border-b border-rule align-top">
              <th scope="row" className="py-2 pr-3 font-normal">
                {name}
                <EyeBeside room={room} paint={paint} keeperId={keeperId} />
              </th>
              {cells.map(({ light, judgement, sentence }) => (
                <td key={light} className="py-2 pr-3">
                  <span className="flex items-center gap-1 font-medium">
                    <JudgementMark judgement={judgement} />
                    {JUDGEMENT_WORDS[judgement]}
                  </span>
                  <span className="block text-fine">{sentence}</span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {said && (
        <>
          <Sayings name="It gives this room" words={said.gives} />
          <Sayings name="Against it here" words={said.against} />
        </>
      )}
      <div className="mt-2 print:hidden">
        <Figures of="chances, and leans in units of CAM16-UCS">{figures}</Figures>
      </div>
      <div className="mt-2 hidden text-fine print:block">{figures}</div>
    </section>
  )
}

/** What the eye said of it beside this, before the readings in the row. */
function EyeBeside({
  room,
  paint,
  keeperId,
}: {
  readonly room: RankedFor
  readonly paint: LookedPaint
  readonly keeperId: string
}) {
  const said = eyeOf(room.eye, paint, keeperId)
  return said && <EyeLine said={said} />
}

function Sayings({ name, words }: { readonly name: string; readonly words: readonly string[] }) {
  if (words.length === 0) return null
  return (
    <p className="mt-2 text-small">
      <span className="font-medium">{name}:</span> {words.join('; ')}.
    </p>
  )
}
