import { createElement, type ComponentType } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { part } from './part'

const AT_ONCE = (): Promise<void> => Promise.resolve()
const shown = (Part: ComponentType): string => renderToStaticMarkup(createElement(Part))

test('a part that comes at the third try is shown', async () => {
  let tries = 0
  const load = (): Promise<ComponentType> =>
    (tries += 1) < 3 ? Promise.reject(new Error('away')) : Promise.resolve(() => 'here')
  expect(shown(await part(load, AT_ONCE))).toBe('here')
  expect(tries).toBe(3)
})

test('one that never comes, for a fault of its own too, is asked for a few times and then says so', async () => {
  let tries = 0
  const fails = (): Promise<never> => {
    tries += 1
    throw new TypeError('undefined is not a function')
  }
  const html = shown(await part(fails, AT_ONCE))
  expect(tries).toBe(5)
  expect(html).toContain('could not be loaded')
  expect(html).toContain('Load again')
})
