import { questionAgain, questionFrom } from '@/core/practice/ask'
import { inventedMaterial, materialOf, type Material } from '@/core/practice/material'
import { newOf, nextOf } from '@/core/practice/next'
import {
  ALL_ANSWERS,
  facetName,
  facetScores,
  kindScores,
  scoreOverTime,
  whatNext,
} from '@/core/practice/score'
import { reflectanceOfRow } from '@/core/ranking/deck-rows'
import { labWhiteBase } from '@/core/paint/white-base'
import { seededRandom } from '@/core/seeded-random'
import { fetchDeck } from './fetch-deck'
import type {
  OpenRequest,
  PracticeReply,
  PracticeRequest,
  QuestionRequest,
  ScoreRequest,
} from './practice-protocol'

// Of one's own decks so many colours are asked about in a round, by chance; all can come again.
const AT_ONCE = 700
const FEWEST = 40
const ATTEMPTS = 12

let material: Material | null = null
let invented: Material | null = null

const reply = (message: PracticeReply): void => self.postMessage(message)

async function open({ id, own, seed, words }: OpenRequest): Promise<void> {
  invented = inventedMaterial(seed, words)
  const decks = own ? await Promise.all(own.decks.map((deck) => fetchDeck(deck))) : []
  const paints = decks.flatMap((deck) => {
    const whiteBase = labWhiteBase(deck.whiteBase)
    return deck.colours.map(({ id: of, name, base, source }, row) => ({
      ...{ ref: { own: of }, name, base, source, whiteBase },
      reflectance: reflectanceOfRow(deck.full, row),
    }))
  })
  // Too few to tell apart: invented ones stand in, and that is said.
  const isOwn = own !== null && paints.length >= FEWEST
  material = isOwn
    ? materialOf(
        paints,
        own.finishes.length > 0 ? own.finishes : invented.finishes,
        words,
        someOf(paints.length, seed),
      )
    : invented
  reply({ id, opened: { isOwn } })
}

/** Places of so many of a list, by chance. */
function someOf(count: number, seed: number): readonly number[] {
  const random = seededRandom(seed)
  return Array.from({ length: count }, (_, place) => ({ place, at: random() }))
    .sort((p, q) => p.at - q.at)
    .slice(0, AT_ONCE)
    .map(({ place }) => place)
}

function ask({ id, round, answers, asked, nowMs }: QuestionRequest): void {
  if (!material || !invented) throw new Error('nothing is there to ask about yet')
  const kinds = [...new Set(material.finishes.map(({ kind }) => kind))]
  const next = nextOf(round, answers, asked, kinds, nowMs)
  const again = next.as === 'again' ? questionAgain(material, next.spec) : null
  if (again) return reply({ id, question: again, isAgain: true })
  // What it was about is gone, or there is no such thing to ask about: something else in its place, of the next kind.
  for (let more = 0; more < ATTEMPTS; more++) {
    const wanted = newOf(round, answers, asked + more, kinds)
    // A small deck may have no such question; then an invented one is asked.
    const question = questionFrom(material, wanted) ?? questionFrom(invented, wanted)
    if (question) return reply({ id, question, isAgain: false })
  }
  reply({ id, question: null, isAgain: false })
}

function score({ id, answers }: ScoreRequest): void {
  const facets = facetScores(answers)
  const of = (facet: 'lean' | 'finish', value: string) =>
    scoreOverTime(answers.filter(({ strand }) => strand[facet] === value))
  reply({
    id,
    score: {
      ...{ kinds: kindScores(answers), facets, next: whatNext(answers) },
      overTime: {
        [ALL_ANSWERS]: scoreOverTime(answers),
        ...Object.fromEntries(
          facets.flatMap(({ facet, value }) =>
            facet === 'light' ? [] : [[facetName({ facet, value }), of(facet, value)]],
          ),
        ),
      },
    },
  })
}

self.addEventListener('message', ({ data }: MessageEvent<PracticeRequest>) => {
  const fail = (error: unknown): void => reply({ id: data.id, failed: String(error) })
  try {
    if (data.task === 'open') open(data).catch(fail)
    else if (data.task === 'question') ask(data)
    else score(data)
  } catch (error) {
    fail(error)
  }
})
