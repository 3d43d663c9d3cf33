import { FINISHED_LATER } from './visits/abelard'
import { TERRACE } from './visits/orrin-vale'
import { SOUTHERN } from './visits/pell-and-ibbotrey'
import { FINISHED } from './visits/quillan'
import type { DemoVisit } from './visits/visit-shape'

/** The visits of the demo: one in progress, one planned, two finished. People, places, finishes and looks are invented. */
export const DEMO_VISITS: readonly DemoVisit[] = [TERRACE, SOUTHERN, FINISHED, FINISHED_LATER]
