import type { input as ZodInput } from 'zod'
import { answerPractice } from './answer-practice'
import { chooseLead } from './choose-lead'
import { chooseScheme } from './choose-scheme'
import { copyRoom } from './copy-room'
import { dropCandidate } from './drop-candidate'
import { finishVisit } from './finish-visit'
import { forgetEye } from './forget-eye'
import { importVisit } from './import-visit'
import { keepBoard } from './keep-board'
import { keepBrief } from './keep-brief'
import { keepFinishLook } from './keep-finish-look'
import { keepKeeper } from './keep-keeper'
import { keepLamp } from './keep-lamp'
import { keepLearner } from './keep-learner'
import { keepLook } from './keep-look'
import { keepDailyBackup } from './keep-daily-backup'
import { keepPaintWays } from './keep-paint-ways'
import { keepPhoto } from './keep-photo'
import { keepReading } from './keep-reading'
import { keepRoom } from './keep-room'
import { keepRoomPaint } from './keep-room-paint'
import { keepScheme } from './keep-scheme'
import { keepWhatIf } from './keep-what-if'
import { keepSweep } from './keep-sweep'
import { placeThing } from './place-thing'
import { keepSettings } from './keep-settings'
import { keepWindow } from './keep-window'
import { learnFromEye } from './learn-from-eye'
import { makeAlike } from './make-alike'
import { openDeck } from './open-deck'
import { orderPlan } from './order-plan'
import { orderRooms } from './order-rooms'
import { propose } from './propose'
import { removeFitting } from './remove-fitting'
import { removeKeeper } from './remove-keeper'
import { removeRoom } from './remove-room'
import { removeVisit } from './remove-visit'
import { reopen } from './reopen'
import { rule } from './rule'
import { ruleOut } from './rule-out'
import { ruleOutLean } from './rule-out-lean'
import { sayWhy } from './say-why'
import { takeUp } from './take-up'
import { undo } from './undo'

/** Every change there is. */
export const KINDS = {
  'keep-brief': keepBrief,
  'finish-visit': finishVisit,
  'remove-visit': removeVisit,
  'import-visit': importVisit,
  'keep-room': keepRoom,
  'copy-room': copyRoom,
  'make-alike': makeAlike,
  'order-rooms': orderRooms,
  'order-plan': orderPlan,
  'remove-room': removeRoom,
  'keep-window': keepWindow,
  'keep-lamp': keepLamp,
  'remove-fitting': removeFitting,
  'keep-keeper': keepKeeper,
  'remove-keeper': removeKeeper,
  'choose-lead': chooseLead,
  'take-up': takeUp,
  propose,
  'rule-out': ruleOut,
  'rule-out-lean': ruleOutLean,
  'drop-candidate': dropCandidate,
  rule,
  reopen,
  'keep-scheme': keepScheme,
  'keep-what-if': keepWhatIf,
  'place-thing': placeThing,
  'choose-scheme': chooseScheme,
  'keep-board': keepBoard,
  'keep-room-paint': keepRoomPaint,
  'keep-look': keepLook,
  'say-why': sayWhy,
  'keep-finish-look': keepFinishLook,
  'keep-sweep': keepSweep,
  'keep-reading': keepReading,
  'keep-photo': keepPhoto,
  'open-deck': openDeck,
  'keep-settings': keepSettings,
  'keep-daily-backup': keepDailyBackup,
  'keep-paint-ways': keepPaintWays,
  'keep-learner': keepLearner,
  'answer-practice': answerPractice,
  'learn-from-eye': learnFromEye,
  'forget-eye': forgetEye,
  undo,
} as const
export type KindName = keyof typeof KINDS

/** What a kind of change takes, before it is parsed. */
export type PayloadOf<K extends KindName> = ZodInput<(typeof KINDS)[K]['payload']>

/** A change as it is sent. */
export interface Command<K extends KindName = KindName> {
  /** Made where the hand is: sent again, it is the same change. */
  readonly id: string
  readonly kind: K
  readonly payload: PayloadOf<K>
  readonly actor: string
  /** By the clock of the device, as an instant. */
  readonly madeAt: string
  readonly device: string
}

/** What came of a change. */
export type Answer =
  | {
      readonly ok: true
      /** Its place among the changes of the store. */
      readonly seq: number
      /** What there is to say of how it was kept. */
      readonly note?: string | undefined
    }
  | {
      readonly ok: false
      readonly message: string
      /** Nothing is wrong with it: it could not be sent, and lies on the device that made it. */
      readonly aside?: true | undefined
      /** What is wrong, by the field of the payload. */
      readonly fields?: Readonly<Record<string, string>> | undefined
    }
