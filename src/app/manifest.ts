import type { MetadataRoute } from 'next'

/** What a device needs to know to keep the application beside its others. */
const manifest = (): MetadataRoute.Manifest => ({
  name: 'Elm Swatch',
  short_name: 'Elm Swatch',
  description: 'Paint colours judged in a room’s own light, beside what stays',
  start_url: '/',
  display: 'standalone',
  background_color: '#ffffff',
  theme_color: '#ffffff',
  icons: [
    { src: '/icons/elm-192.png', sizes: '192x192', type: 'image/png' },
    { src: '/icons/elm-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    { src: '/icons/elm.svg', sizes: 'any', type: 'image/svg+xml' },
  ],
})
// eslint-disable-next-line no-restricted-syntax -- Next asks for a default export
export default manifest
