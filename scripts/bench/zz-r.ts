import { benchRanking } from './ranking'
benchRanking()
