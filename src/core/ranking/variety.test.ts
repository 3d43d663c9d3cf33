import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { lrvPercent } from '../paint/lrv'
import { lightnessWord } from '../undertone/lightness-word'
import { undertoneOf } from '../undertone/undertone'
import { rankForRoom } from './rank-for-room'
import { reflectanceOfRow } from './deck-rows'
import { evenDeck, finish, room } from './ranking-scenes.fixture'
import { leanOf } from '../undertone/lean'
import { STRIP_STEP, unitsApart, variedFirst } from './variety'

const noon = prepareLight(daylightSpectrum(6500), 400)

test('a choice worth laying out: each colour once, a strip step apart, of several depths, best first', () => {
  const deck = evenDeck()
  // Two strengths of each colour: only one may be laid out.
  const twice = { ...deck, places: Array.from(deck.places, (place) => Math.floor(place / 2)) }
  const ranked = rankForRoom(twice, room([finish('floor', [55, 9, 24])]), 400)
  const chosen = variedFirst(ranked, twice, noon, 10)
  expect(chosen).toHaveLength(10)
  expect(chosen[0]).toBe(ranked[0])
  const seen = chosen.map(({ row }) => undertoneOf(noon, reflectanceOfRow(deck.rows, row)))
  seen.forEach((p, i) =>
    seen
      .slice(i + 1)
      .filter((q) => leanOf(p)?.lean === leanOf(q)?.lean)
      .forEach((q) => expect(unitsApart(p, q)).toBeGreaterThanOrEqual(STRIP_STEP)),
  )
  expect(new Set(chosen.map(({ row }) => twice.places[row])).size).toBe(10)
  const words = chosen.map(({ row }) => lightnessWord(lrvPercent(reflectanceOfRow(deck.rows, row))))
  expect(new Set(words).size).toBeGreaterThanOrEqual(3)
})

test('what is ruled out is left out', () => {
  const deck = evenDeck()
  const ranked = rankForRoom(deck, room([finish('floor', [55, 9, 24])]), 200)
  const isWarm = ({ b }: { readonly b: number }) => b > 4
  const chosen = variedFirst(ranked, deck, noon, 5, isWarm)
  for (const { row } of chosen)
    expect(isWarm(undertoneOf(noon, reflectanceOfRow(deck.rows, row)))).toBe(false)
})

test('where something works nothing that is a firm no is laid out; where nothing does, the least bad is', () => {
  const deck = evenDeck()
  const stays = [finish('stone', [66, 9, 14]), finish('cabinets', [89.5, 0.5, 11.5])]
  const ranked = rankForRoom(deck, room(stays), 1500)
  const works = ranked.filter(({ chance }) => chance > 0.6)
  expect(works.length).toBeGreaterThan(0)
  for (const { chance } of variedFirst(ranked, deck, noon, 12)) expect(chance).toBeGreaterThan(0.15)
  const none = ranked.filter(({ chance }) => chance < 0.6)
  expect(variedFirst(none, deck, noon, 12)).toHaveLength(12)
})
