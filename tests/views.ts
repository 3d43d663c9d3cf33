import type { Page } from '@playwright/test'
import { demoVisit, demoRoom, type App } from './app'

/** Every view of the application, by address, on the demo's data. */
export async function everyView(page: Page, app: App): Promise<string[]> {
  const visit = demoVisit(app)
  const kitchen = demoRoom(visit, 'Kitchen')
  const empty = demoVisit(app, 'Pell and Ibbotrey')
  return [
    app.url,
    `${app.url}/decks`,
    `${app.url}/settings`,
    `${app.url}/practice`,
    `${app.url}/practice/screening`,
    `${app.url}/eye`,
    `${app.url}/paint?colour=H111-4`,
    `${app.url}/visits/new`,
    `${visit}/brief`,
    `${visit}/plan`,
    `${visit}/grid`,
    `${visit}/together`,
    `${visit}/sheets/painter`,
    `${visit}/history`,
    `${visit}/rooms/new`,
    ...[
      'light',
      'keepers',
      'lead',
      'shortlist',
      'trial?colour=H111-4',
      'bench',
      'boards',
      'around',
      'lead?show=saved',
      'ruling',
      'sheet',
    ].map((step) => `${kitchen}/${step}`),
    `${kitchen}/bench?in=room`,
    `${empty}/grid`,
    `${demoRoom(demoVisit(app), 'Front room')}/ruling`,
    `${app.url}/visits/nothing`,
  ]
}
