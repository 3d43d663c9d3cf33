import type { Verdict } from '@/core/record/verdict'
import { askedOfGrid, gridParameters, rowsShown, type GridAsked, type GridRow } from './grid-model'

const cell = (verdict: Verdict | null, isUp = true, ruledOut: string | null = null) => ({
  isUp,
  ruledOut,
  says: { verdict },
})
const row = (name: string, worksIn: number, ...cells: ReturnType<typeof cell>[]) =>
  ({ paint: { name }, worksIn, cells }) as unknown as GridRow

const ROWS = [
  row('torn', 1, cell('works'), cell('no')),
  row('unseen', 0, cell(null), cell('no')),
  row('out', 0, cell('no'), cell(null, true, 'too-green'), cell(null, false)),
  row('best', 2, cell('works'), cell('works')),
]
const shown = (parameters: Record<string, string | undefined>) =>
  rowsShown(ROWS, askedOfGrid(parameters)).map(({ paint }) => paint.name)

test('rows by what works, what is open and what is out everywhere; a room it is ruled out of asks nothing', () => {
  expect(shown({})).toEqual(['torn', 'unseen', 'out', 'best'])
  expect(shown({ show: 'works', sort: 'works' })).toEqual(['best', 'torn'])
  expect(shown({ show: 'open' })).toEqual(['unseen'])
  expect(shown({ show: 'out' })).toEqual(['out'])
})

test('what is asked of a grid goes through its address and back; rubbish asks nothing', () => {
  const asked: GridAsked = {
    day: '2026-12-21',
    light: { at: '17:30', sky: 'clear' },
    byWork: true,
    surface: 'trim',
    show: 'open',
    guess: true,
  }
  expect(askedOfGrid(Object.fromEntries(new URLSearchParams(gridParameters(asked))))).toEqual(asked)
  expect(
    gridParameters(askedOfGrid({ sort: 'x', surface: 'moat', show: 'none', guess: '1' })),
  ).toBe('?')
})
