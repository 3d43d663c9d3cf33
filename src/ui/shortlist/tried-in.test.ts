import { DEFAULT_HOUSE_RULES } from '@/core/advice/house-rules'
import { ORDINARY_ROOM } from '@/core/advice/ordinary-room.fixture'
import type { NamedFinish, RoomBrief } from '@/core/ranking/asked-room'
import { finish } from '@/core/ranking/ranking-scenes.fixture'
import { lrvPercent } from '@/core/paint/lrv'
import { asIfWords, triedIn } from './tried-in'

const named = (id: 'trim' | 'tile', name: string): NamedFinish => ({
  ...finish(id, [86, 3, 24]),
  name,
  part: '',
  costs: 3,
})
const brief = {
  rules: DEFAULT_HOUSE_RULES,
  character: ORDINARY_ROOM,
  finishes: [named('trim', 'Skirting'), named('tile', 'Hearth tile')],
} as unknown as RoomBrief

test('a rule that is tried moves every finish, and the room as it is stays as it was', () => {
  const tried = triedIn(brief, { pairs: 'opposites' }, null)
  expect(tried.rules).toEqual({ ...DEFAULT_HOUSE_RULES, pairs: 'opposites' })
  expect(tried.finishes.map(({ role }) => role.pairs)).toEqual(['opposites', 'opposites'])
  expect(brief.finishes.map(({ role }) => role.pairs)).toEqual(['shared-fixed', 'shared-fixed'])
})

test('without a keeper the others stay; painted white it stays as the lightest there is', () => {
  const gone = { keeperId: 'trim', how: 'without' } as const
  expect(triedIn(brief, {}, gone).finishes.map(({ name }) => name)).toEqual(['Hearth tile'])
  expect(asIfWords(gone, brief)).toBe('Skirting were gone')

  const white = { keeperId: 'trim', how: 'painted white' } as const
  const painted = triedIn(brief, {}, white).finishes
  expect(painted.map(({ name }) => name).sort()).toEqual(['Hearth tile', 'Skirting'])
  const skirting = painted.find(({ name }) => name === 'Skirting')!
  expect(lrvPercent(skirting.reflectance)).toBeGreaterThan(88)
  expect(skirting.role).toEqual(brief.finishes[0]!.role)
  expect(asIfWords(white, brief)).toBe('Skirting were painted clean white')
})

test('a keeper that has gone since changes nothing', () => {
  const stale = { keeperId: 'removed', how: 'without' } as const
  expect(triedIn(brief, {}, stale).finishes).toHaveLength(2)
  expect(asIfWords(stale, brief)).toBe('it were gone')
})
