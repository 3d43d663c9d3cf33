import { writeFileSync } from 'node:fs'
import { writeDeckCsv } from '../src/formats/deck-csv'
import { generateDeck } from './deck-generator'

writeFileSync(new URL('deck.csv', import.meta.url), writeDeckCsv(generateDeck()))
