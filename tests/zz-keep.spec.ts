import { open, demoRoom, demoVisit, test } from './app'
test('look', async ({ page, ownApp: app }) => {
  const room = demoRoom(demoVisit(app), 'Front room')
  for (const [w, h] of [
    [1280, 800],
    [820, 1180],
  ] as const) {
    await page.setViewportSize({ width: w, height: h })
    await open(page, `${room}/keepers?light=room&at=12:00&sky=clear`)
    await page.screenshot({ path: `/tmp/looks/k0-${w}.png` })
    await page.getByRole('button', { name: 'Add what stays' }).click()
    await page.screenshot({ path: `/tmp/looks/k1-${w}.png` })
    await page.getByRole('button', { name: 'Floor', exact: true }).click()
    await page.screenshot({ path: `/tmp/looks/k2-${w}.png` })
    const cells = page.getByRole('group', { name: 'Match it by eye' }).locator('[data-cell]')
    await cells.nth(33).click()
    await page.screenshot({ path: `/tmp/looks/k3-${w}.png` })
    await cells.nth(20).click()
    await page.getByRole('button', { name: 'lighter' }).click()
    await page.screenshot({ path: `/tmp/looks/k4-${w}.png` })
    await page.getByRole('button', { name: 'Another kind' }).click()
    await page.getByRole('button', { name: 'Upholstery', exact: true }).click()
    await page.screenshot({ path: `/tmp/looks/k5-${w}.png` })
  }
})
