import { REASON_WORDS } from '../record/verdict'
import { capital } from '../words'
import { FIRM_FROM, isBad, isGood, judgedWords } from './chance'
import type { PartJudgement } from './judge-pair'
import type { Pairing } from './said-of-pair'

/** One line on a pair, in the trade's words, as sure as its chance. */
export function pairSentence(said: PartJudgement): string {
  const { chance, chanceIfExact, part, hardlyShows, rule } = said
  const settle =
    !isFirm(chance) && isFirm(chanceIfExact)
      ? ` A firmer reading of the ${part} would settle it.`
      : ''
  const little = hardlyShows
    ? ` By itself it is ${REASON_WORDS[hardlyShows.reason]} for the ${hardlyShows.part}, which hardly shows.`
    : ''
  return `${plain(said)}${little}${ruleSaid(rule)}${settle}`
}

function ruleSaid(rule: PartJudgement['rule']): string {
  if (!rule) return ''
  const without = judgedWords(rule.chanceWithout)
  return ` ${capital(rule.words)}; without it: ${without}.`
}

const isFirm = (chance: number): boolean => chance >= FIRM_FROM || chance <= 1 - FIRM_FROM

function plain(said: PartJudgement): string {
  const { chance, pairing, otherwise, part } = said
  if (isGood(chance) || isBad(chance)) {
    const words = SAID[pairing].plainly(`the ${part}`, said)
    return isFirm(chance) ? `${capital(words)}.` : `Likely ${words}.`
  }
  const [good, bad] = chance >= 0.5 ? [pairing, otherwise] : [otherwise, pairing]
  return `Unsure beside the ${part}: it may ${SAID[good].maybe(said)}, or it may ${SAID[bad].maybe(said)}.`
}

interface Said {
  /** Of what a sure or a likely pair does, with the thing in it. */
  readonly plainly: (thing: string, said: PartJudgement) => string
  /** Of what it may do. */
  readonly maybe: (said: PartJudgement) => string
}

const SAID: Readonly<Record<Pairing, Said>> = {
  'sets off': {
    plainly: (thing) => `is set off by ${thing}: two colours that make each other clearer`,
    maybe: () => 'be set off by it',
  },
  'quiet relative': {
    plainly: (thing) => `is a quiet relative of ${thing}: the same undertone, lighter or deeper`,
    maybe: () => 'be a quiet relative of it',
  },
  'shares the undertone': {
    plainly: (thing) => `shares the undertone of ${thing}`,
    maybe: () => 'share its undertone',
  },
  bridges: {
    plainly: (thing) => `bridges to ${thing}: another undertone, with depth enough between them`,
    maybe: () => 'bridge to it',
  },
  'carried through': {
    plainly: (thing) => `carries ${thing} on: one colour runs through`,
    maybe: () => 'carry it on',
  },
  'undertones quarrel': {
    plainly: (thing, { direction }) => `quarrels with ${thing}: ${direction} for it`,
    maybe: ({ direction }) => `be ${direction} for it`,
  },
  'too strong': {
    plainly: (thing) => `is too strong beside ${thing}`,
    maybe: () => 'be too strong for it',
  },
  'almost the same': {
    plainly: (thing, { direction }) =>
      `comes too near ${thing} without being the same${direction === 'too close' ? '' : `, and is ${direction} for it`}`,
    maybe: () => 'come too near without being the same',
  },
  'one looks dirty': {
    plainly: (thing, { looksDirty }) =>
      looksDirty === 'wall'
        ? `looks dirty beside ${thing}, which is the cleaner`
        : `makes ${thing} look dirty: the wall is the cleaner`,
    maybe: ({ looksDirty }) => (looksDirty === 'wall' ? 'look dirty' : 'make it look dirty'),
  },
  drab: {
    plainly: (thing) => `is drab beside ${thing}: neither lifts the other`,
    maybe: () => 'be drab beside it',
  },
  'no relief': {
    plainly: (thing) => `falls flat beside ${thing}: the same undertone at the same depth`,
    maybe: () => 'fall flat beside it',
  },
  'both strong': {
    plainly: (thing) => `competes with ${thing}: both are strong`,
    maybe: () => 'compete with it',
  },
}
