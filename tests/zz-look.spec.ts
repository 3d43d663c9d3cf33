import { open, demoRoom, demoVisit, test } from './app'
test('look', async ({ page, ownApp: app }) => {
  test.setTimeout(120000)
  const v = demoVisit(app)
  const k = demoRoom(v, 'Kitchen'), b = demoRoom(v, 'South bedroom')
  for (const [w, h] of [[1280, 800], [820, 1180]] as const) {
    await page.setViewportSize({ width: w, height: h })
    for (const [n, a] of [['trial', `${k}/trial?colour=H111-4&light=room&at=12:00`], ['samples', `${k}/boards`], ['samples0', `${b}/boards`], ['schemes', `${b}/lead?light=room&at=10:00`], ['saved', `${b}/lead?show=saved`], ['sheet', `${k}/sheet`], ['paint', `${app.url}/paint?colour=H111-4`], ['short', `${k}/shortlist?colour=H111-4&light=room&at=12:00`]] as const) {
      await open(page, a)
      await page.waitForLoadState('networkidle')
      await page.screenshot({ path: `/tmp/looks/s-${n}-${w}.png` })
    }
    await page.keyboard.press('b')
    await page.screenshot({ path: `/tmp/looks/s-beside-${w}.png` })
  }
})
