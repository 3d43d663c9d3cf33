import { loadEyeLooks, pastRulingsOf } from '@/app/_load/eye-looks'
import { loadOwnFinishes } from '@/app/_load/own-finishes'
import { deckName } from '@/app/_load/paints'
import { loadSettings } from '@/app/_load/settings'
import { listDecks } from '@/db/decks'
import { listLearners } from '@/db/practice'
import { openDb } from '@/store/store'
import { PracticeView } from '@/ui/practice/practice-view'

// One's own past on such pairs: as many rulings as say something of today's eye.
const PAST_RULINGS = 300

export const metadata = { title: 'Practice' }

export default async function PracticePage() {
  const db = await openDb()
  const { who, houseRules } = await loadSettings()
  return (
    <PracticeView
      learners={await listLearners(db)}
      who={who}
      own={{
        decks: (await listDecks(db)).map(deckName),
        finishes: await loadOwnFinishes(houseRules),
      }}
      rulings={pastRulingsOf(await loadEyeLooks(PAST_RULINGS))}
    />
  )
}
