import { HUE_NAMES } from '../core/undertone/hue-name'
import { PROPOSAL_STATUSES } from '../core/record/proposal'
import { LEANS } from '../core/record/look'
import { VERDICTS } from '../core/record/verdict'
import {
  board,
  brief,
  command,
  idOf,
  keeper,
  lamp,
  look,
  room,
  roomPaint,
  scheme,
  taking,
  window,
} from './house.fixture'
import type { Command, PayloadOf } from './kinds'

// Changes at random, many of which make no sense: rooms of other visits, names that are taken, looks at what is not there.

const VISITS = [idOf(1), idOf(2)]
const ROOMS = [11, 12, 13].map(idOf)
const KEEPERS = [21, 22].map(idOf)
const ROOM_NAMES = ['Kitchen', 'Hall', 'Snug']

/**
 * A sequence of changes as devices would send them: each with an id of its own, some sent again.
 *
 * @param random 0 up to 1
 * @param colourIds of a deck that is ready
 */
export function randomCommands(random: () => number, colourIds: readonly string[]): Command[] {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!
  const maybe = (share: number): boolean => random() < share
  const made: Command[] = []
  let id = 1000
  const fresh = (): string => idOf(100_000 + id)

  function change(): Command {
    id++
    // Most is about one visit; what refers to the other is often refused.
    const visitId = maybe(0.85) ? VISITS[0]! : VISITS[1]!
    const [roomId, keeperId, colourId] = [pick(ROOMS), pick(KEEPERS), pick(colourIds)]
    const strengthPercent = pick([50, 75])
    const candidateId = idOf(200 + colourIds.indexOf(colourId) * 10 + strengthPercent)
    const makers: readonly (() => Command)[] = [
      () =>
        command(id, 'keep-brief', brief(visitId, { household: pick(['The Ashbys', 'The Elms']) })),
      () =>
        command(
          id,
          'keep-room',
          room(visitId, roomId, pick(ROOM_NAMES), { seenFrom: maybe(0.3) ? ROOMS : [] }),
        ),
      () => command(id, 'keep-room', room(visitId, roomId, pick(ROOM_NAMES))),
      () =>
        command(id, 'copy-room', {
          visitId,
          roomId,
          copyId: fresh(),
          name: pick(['Twin', ...ROOM_NAMES]),
        }),
      () => command(id, 'order-rooms', { visitId, roomIds: ROOMS.toReversed() }),
      () => command(id, 'remove-room', { visitId, roomId, removed: maybe(0.6) }),
      () => command(id, 'remove-keeper', { visitId, keeperId, removed: maybe(0.6) }),
      () => command(id, 'keep-window', window(visitId, roomId, fresh())),
      () => command(id, 'keep-lamp', lamp(visitId, roomId, fresh())),
      () =>
        command(
          id,
          'keep-keeper',
          keeper(visitId, roomId, keeperId, pick(['Stone', 'Tile']), {
            roomIds: maybe(0.4) ? [pick(ROOMS)] : [],
          }),
        ),
      () => command(id, 'choose-lead', { visitId, roomId, keeperId }),
      () =>
        command(id, 'take-up', {
          ...taking(visitId, roomId, colourId, 0, strengthPercent),
          candidateId,
          proposalId: fresh(),
        }),
      () =>
        command(id, 'propose', {
          visitId,
          proposalId: fresh(),
          candidateId,
          roomId,
          surface: 'walls',
          sheen: 'matt',
          status: pick(PROPOSAL_STATUSES),
          reason: '',
          withdrawn: maybe(0.2),
          replaces: null,
        }),
      () => command(id, 'rule-out', { visitId, candidateId, reason: maybe(0.5) ? 'no' : null }),
      () =>
        command(id, 'rule-out-lean', {
          visitId,
          roomId,
          lean: pick(HUE_NAMES),
          strong: maybe(0.3),
          out: maybe(0.7),
        }),
      () => command(id, 'drop-candidate', { visitId, candidateId }),
      () =>
        command(id, 'rule', {
          ...{ visitId, roomId, candidateId, rulingId: fresh(), surface: 'walls', sheen: 'matt' },
          compromise: '',
          gaps: maybe(0.5) ? ['never under lamps'] : [],
        }),
      () => {
        const rulings = made.filter((each) => each.kind === 'rule')
        const of = rulings.length > 0 ? (pick(rulings).payload as PayloadOf<'rule'>) : null
        return command(id, 'reopen', {
          ...{ visitId, roomId, candidateId, rulingId: of?.rulingId ?? fresh() },
          because: 'The rug is leaving.',
        })
      },
      () => {
        const house = {
          visitId,
          kitchenId: roomId,
          stoneId: keeperId,
          candidateId,
          colourIds: [colourId],
        }
        const seen = look(
          house,
          fresh(),
          maybe(0.8)
            ? { verdict: pick(VERDICTS) }
            : { verdict: null, reasons: [], lean: pick(LEANS) },
        )
        return command(id, 'keep-look', {
          ...seen,
          candidate: { ...seen.candidate, strengthPercent },
        })
      },
      () => {
        const looks = made.filter((each) => each.kind === 'keep-look')
        const of = looks.length > 0 ? pick(looks) : null
        return command(id, 'say-why', {
          visitId,
          lookId: of ? (of.payload as PayloadOf<'keep-look'>).lookId : fresh(),
          keptBy: of?.id ?? fresh(),
          reasons: maybe(0.5) ? ['too-green'] : [],
          lean: maybe(0.5) ? pick(LEANS) : null,
          note: maybe(0.5) ? 'Mustard.' : '',
          client: maybe(0.5) ? { says: 'fine', words: '' } : null,
        })
      },
      () =>
        command(
          id,
          'keep-board',
          board(visitId, candidateId, fresh(), { roomId: pick([null, roomId]) }),
        ),
      () =>
        command(
          id,
          'keep-room-paint',
          roomPaint(visitId, roomId, { featureWall: pick([null, 'east']) }),
        ),
      () =>
        command(id, 'place-thing', {
          ...{ visitId, roomId, thingId: pick(KEEPERS), name: 'Stone' },
          placing: maybe(0.7)
            ? {
                ...{ eastMm: Math.floor(random() * 1000), northMm: 0, widthMm: 900, depthMm: 400 },
                ...{ heightMm: 800, fromMm: 0 },
              }
            : null,
        }),
      () =>
        command(id, 'keep-what-if', {
          ...{
            visitId,
            roomId,
            whatIfId: pick([idOf(901), idOf(902)]),
            name: pick(['Two lamps', 'Sheer']),
          },
          change: {
            ...{ lamps: null, curtain: maybe(0.8) ? 'sheer' : null },
            ...{ ceiling: null, floor: null, cabinets: null },
          },
          ...{ says: '', removed: maybe(0.2) },
        }),
      () =>
        command(
          id,
          'keep-scheme',
          scheme(
            visitId,
            roomId,
            fresh(),
            { candidateId, deckColourId: colourId },
            { name: pick(['Calm', 'Bold']) },
          ),
        ),
      () => {
        const schemes = made.filter((each) => each.kind === 'keep-scheme')
        const of = schemes.length > 0 ? (pick(schemes).payload as PayloadOf<'keep-scheme'>) : null
        return command(id, 'choose-scheme', {
          ...{ visitId, roomId, name: 'Calm', proposalIds: [fresh()] },
          schemeId: of?.schemeId ?? fresh(),
        })
      },
      () => command(id, 'finish-visit', { visitId, finished: maybe(0.5) }),
      () => command(id, 'undo', { visitId, commandId: made.length > 0 ? pick(made).id : fresh() }),
      () => command(id, 'undo', { visitId, commandId: made.at(-1)?.id ?? fresh() }),
    ]
    return pick(makers)()
  }

  made.push(command(++id, 'keep-brief', brief(VISITS[0]!)))
  made.push(command(++id, 'keep-room', room(VISITS[0]!, ROOMS[0]!, 'Kitchen')))
  made.push(command(++id, 'keep-keeper', keeper(VISITS[0]!, ROOMS[0]!, KEEPERS[0]!, 'Stone')))
  const length = 8 + Math.floor(random() * 12)
  for (let n = 0; n < length; n++) made.push(change())
  return made.flatMap((each) => [
    each,
    ...(maybe(0.3) ? [pick(made.slice(0, made.indexOf(each) + 1))] : []),
  ])
}
