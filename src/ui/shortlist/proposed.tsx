'use client'

import type { Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import { TextKey } from '../form/text-key'
import { newId } from '../record/new-id'
import { InRooms, type HouseRoom } from './other-rooms'
import type { Change, TakenCandidate } from './proposal-line'
import { Proposals } from './proposals'

/** What is proposed for this room, surface by surface; the same candidate in another room is one key away. */
export function Proposed({
  visitId,
  roomId,
  candidates,
  treatment,
  wear,
  otherRooms,
  change,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly candidates: readonly TakenCandidate[]
  readonly treatment: Treatment
  readonly wear: Wear
  readonly otherRooms: readonly HouseRoom[]
  readonly change: Change
}) {
  function proposeIn(candidate: TakenCandidate, { id, name, sheen }: HouseRoom): void {
    change(
      'propose',
      {
        visitId,
        roomId: id,
        candidateId: candidate.id,
        proposalId: newId(),
        surface: 'walls',
        sheen,
        status: 'proposed',
        reason: '',
        withdrawn: false,
        replaces: null,
      },
      `${candidate.name} at ${candidate.strengthPercent} % is proposed for ${name}, and judged anew there.`,
    )
  }
  return (
    <Proposals
      {...{ visitId, roomId, candidates, treatment, wear, change }}
      elsewhereOf={(candidate) =>
        otherRooms.length > 0 && (
          <div>
            <p className="text-fine font-medium">In the other rooms</p>
            <InRooms
              rooms={otherRooms}
              paint={candidate}
              reflectance={candidate.reflectance}
              source={candidate.source}
              action={(room) =>
                candidate.proposals.some((each) => each.roomId === room.id) ? (
                  <span className="text-dim">proposed there</span>
                ) : (
                  <TextKey className="text-fine" onClick={() => proposeIn(candidate, room)}>
                    Propose in {room.name}
                  </TextKey>
                )
              }
            />
          </div>
        )
      }
    />
  )
}
