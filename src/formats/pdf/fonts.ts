import { createRequire } from 'node:module'

// Static cuts of the faces that the screen has as variable fonts: a PDF takes no variable one.
const { resolve } = createRequire(import.meta.url)

export const FONTS = {
  text: resolve('@expo-google-fonts/inter/400Regular/Inter_400Regular.ttf'),
  strong: resolve('@expo-google-fonts/inter/600SemiBold/Inter_600SemiBold.ttf'),
  display: resolve('@expo-google-fonts/newsreader/500Medium/Newsreader_500Medium.ttf'),
} as const
export type FontName = keyof typeof FONTS
