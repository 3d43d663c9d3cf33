import { DEFAULT_HOUSE_RULES, weakestStrengthPercent } from '@/core/advice/house-rules'
import type { RoomDay } from '@/core/light/light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from '@/core/light/room'
import type { Visit } from '@/db/visits'
import { localDay, zoneClock } from '@/time/local-day'
import { LightBar } from '@/ui/light-bar/light-bar'
import { LightProvider } from '@/ui/light-bar/light-context'
import { NoDeck } from '@/ui/deck/no-deck'
import { plainRoom } from '@/ui/room/plain-room'
import { TrialView, type OpeningPaint } from '@/ui/trial/trial-view'
import { deckName } from './paints'
import { loadDecks } from './visit-page'

// Where nothing is said of a place: the middle of the temperate north, at an equinox.
const SOMEWHERE = { latitudeDeg: 45, longitudeDeg: 0, timeZone: 'UTC', visitDate: '2026-03-20' }

/** A paint's page before there is a room: in an ordinary one with a window to the sun, at the place of the visit where it has one. */
export async function PaintBeforeRoom({
  opening,
  visit,
}: {
  readonly opening: OpeningPaint | null
  readonly visit?: Visit
}) {
  const decks = await loadDecks()
  if (decks.length === 0) return <NoDeck why="A paint comes from a deck." />
  const { latitudeDeg, longitudeDeg, timeZone, visitDate } = visit ?? SOMEWHERE
  const rules = visit?.houseRules ?? DEFAULT_HOUSE_RULES
  const { northSouthMm, eastWestMm, heightMm } = plainRoom('', '', '')
  const roomDay: RoomDay = {
    room: {
      ...{ northSouthMm, eastWestMm, heightMm },
      windows: [{ ...PLAIN_WINDOW, bearingDeg: latitudeDeg >= 0 ? 180 : 0 }],
      lamps: [PLAIN_LAMP],
    },
    place: { latitudeDeg, longitudeDeg },
    day: localDay(visitDate, timeZone),
  }
  return (
    <LightProvider roomDay={roomDay} zone={zoneClock(timeZone, visitDate)}>
      <TrialView
        room={null}
        isSomewhere={!visit}
        decks={decks.map(deckName)}
        opening={opening}
        brief={{
          rules,
          eye: [],
          finishes: [],
          wishes: {
            hasCarpet: false,
            useHours: 'daytime',
            climate: visit?.climate ?? 'sunny',
            wants: [],
            contrast: visit?.contrast ?? 'open',
            willNotHave: '',
          },
        }}
        weakestPercent={weakestStrengthPercent(rules)}
        own={[]}
        keepers={[]}
        rooms={[]}
      />
      <LightBar />
    </LightProvider>
  )
}
