import { expect } from '@playwright/test'
import { demoRoom, demoVisit, faultsOf, open, tabTo, test } from './app'
import { NAMES } from './names'

test('each wall has its own trim advice, what is proposed stands with its litres, and what is no colour is refused at its field', async ({
  page,
  ownApp: app,
}) => {
  const front = demoRoom(demoVisit(app), 'Front room')
  // Late sun on one side, the window's own wall in its shade.
  await open(page, `${front}/around?light=room&at=17:00&sky=clear&lamps=off`)
  const trim = page.getByRole('region', { name: NAMES.trim })
  await trim.getByRole('listitem').first().waitFor()
  const said: string[] = []
  for (const wall of ['north', 'east', 'south', 'west']) {
    await tabTo(page, page.getByRole('button', { name: wall, exact: true }))
    await page.keyboard.press('Enter')
    await expect(
      page.getByRole('img', { name: new RegExp(`^The ${wall} wall to scale`) }),
    ).toBeVisible()
    said.push((await trim.textContent())!)
  }
  expect(new Set(said).size).toBeGreaterThan(1)
  // The hearth stands at the east wall only, and is spoken of there only.
  expect(said.map((text) => text.includes('Slate hearth'))).toEqual([false, true, false, false])

  await page.getByRole('button', { name: 'east', exact: true }).click()
  const door = page.getByRole('region', { name: 'Doors, inside' })
  const option = door.getByRole('button', { name: /^Propose .+ for doors, inside$/ }).first()
  const called = /^Propose (.+) for/.exec((await option.getAttribute('aria-label'))!)![1]!
  await tabTo(page, option)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status', { name: NAMES.whatCameOfIt })).toContainText(
    `${called} proposed for door inside.`,
  )
  await page.getByText('How much paint').click()
  const much = page.getByRole('region', { name: 'How much paint' })
  // The room has no door: its size is not known, and is asked for, not invented.
  await expect(much.getByRole('listitem').filter({ hasText: 'door inside' })).toContainText(
    'say below how large it is',
  )

  const walls = much.getByRole('listitem').filter({ hasText: /^walls/ })
  await expect(walls).toContainText('46.4 m², 2 coats')
  await page.getByText('Sizes and what is on the walls now').click()
  const form = page.getByRole('form', { name: 'What decides the paint of this room' })
  await form.getByLabel('On the walls now').fill('nice')
  await page.keyboard.press('Control+Enter')
  await expect(form).toContainText('Expected L*, a* and b*, as 62 20 31.5, or a hex')
  await form.getByLabel('On the walls now').fill('#101010')
  await form.getByLabel('A wall of its own').selectOption('east')
  await form.getByRole('button', { name: NAMES.save, exact: true }).click()
  await expect(form).toContainText(NAMES.saved)
  await page.getByText('A wall of its own', { exact: true }).first().click()
  await expect(
    page.getByRole('list').filter({ hasText: 'Slate hearth stands at it' }),
  ).toBeVisible()
  expect(await faultsOf(page)).toEqual([])
})

test('schemes from the piece that leads and what stands are kept side by side; the chosen one goes to board', async ({
  page,
  ownApp: app,
}) => {
  const bedroom = demoRoom(demoVisit(app), 'South bedroom')
  await open(page, `${bedroom}/lead?light=room&at=10:00&sky=clear&lamps=off`)
  const outcome = page.getByRole('status', { name: NAMES.whatCameOfIt })
  for (const n of [0, 1]) {
    await tabTo(page, page.getByRole('button', { name: 'Save as a scheme' }).nth(n))
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status').filter({ hasText: 'Saved as the scheme' })).toContainText(
      n === 0 ? 'From its field' : 'From its line',
    )
  }
  await tabTo(page, page.getByRole('button', { name: 'Saved, 2' }))
  await page.keyboard.press('Enter')
  await page.waitForURL(/show=saved/)
  await tabTo(page, page.getByRole('button', { name: 'Save what is proposed as one' }))
  await page.keyboard.press('Enter')
  await expect(outcome).toContainText('As it stands')
  await expect(page.getByRole('heading', { level: 2 })).toHaveText([
    'From its field',
    'From its line',
    'As it stands',
  ])
  // The address that they once had.
  await open(page, `${bedroom}/schemes`)
  await expect(page).toHaveURL(/\/lead\?show=saved$/)
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(3)
  // Three are what one compares: a fourth is not offered.
  await expect(page.getByRole('button', { name: 'Save what is proposed as one' })).toHaveCount(0)
  const field = page.getByRole('listitem', { name: 'From its field' })
  await expect(field).toContainText(/(gives the room|takes) \d+ %|leaves the room as bright/)
  await expect(field).toContainText(/l of paint: \d × /)
  const wall = /walls: (\S+), /.exec(await field.innerText())![1]!
  await tabTo(page, field.getByRole('button', { name: /^Choose/ }))
  await page.keyboard.press('Enter')
  await expect(outcome).toContainText('“From its field” is chosen')
  expect(await faultsOf(page)).toEqual([])
  await open(page, `${bedroom}/boards`)
  await expect(page.getByRole('region', { name: 'What goes to paint' })).toContainText(wall)
  await open(page, `${bedroom}/ruling?surface=trim`)
  await expect(page.getByRole('region', { name: 'Candidates for trim' })).toBeVisible()
})

test('rooms are shown as they open to each other, and follow the hour', async ({ page, app }) => {
  const visit = demoVisit(app)
  await open(page, `${visit}/together?light=room&at=12:00&sky=clear&lamps=off`)
  const pair = page.getByRole('listitem', { name: 'Front room and Landing study' })
  const colours = () =>
    pair
      .getByRole('img', { name: /, the walls of / })
      .evaluateAll((all) => all.map((each) => each.getAttribute('data-hex')))
  const noon = await colours()
  expect(new Set(noon).size).toBe(2)
  await expect(page.getByText('a hallway wants to be the lighter')).toBeVisible()
  await expect(pair).toContainText(/LRV \d+ to \d+/)
  await open(page, `${visit}/together?light=lamps&lamps=on`)
  await expect.poll(colours).not.toEqual(noon)
})
