import { writeFileSync } from 'node:fs'
import { writeDeckCsv } from '../src/formats/write-deck'
import { generateDeck } from './deck-generator'

writeFileSync(new URL('deck.csv', import.meta.url), writeDeckCsv(generateDeck()))
