'use client'

import { WHITE_CARD } from '@/core/colour/appearance'
import { isMottled } from '@/core/pairing/keeper-kind'
import type { PracticeFinish } from '@/core/practice/asked-about'
import { practiceLight, type PracticeLight } from '@/core/practice/lights'
import type { Question, Shown } from '@/core/practice/question'
import { Mottled } from '../bench/mottled'
import { InLight } from '../swatch/in-light'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { RelitPhoto } from '../swatch/relit-photo'

/** What a question is about, edge to edge in its light, on the white card. */
export function QuestionField({ question }: { readonly question: Question }) {
  return (
    <Field
      light={question.spec.light}
      shown={question.shown}
      className="min-h-0 flex-1"
      inset={question.onCard ? 'inset-x-[12%] inset-y-[14%]' : 'inset-x-[4%] inset-y-[6%]'}
    />
  )
}

/** What stands under each of them, in its middle; the paints' names only once they were answered. */
export function UnderField({
  question: { shown, onCard },
  isAnswered,
}: {
  readonly question: Question
  readonly isAnswered: boolean
}) {
  return (
    <div
      className={`flex pt-1 text-center text-small ${onCard ? 'px-[12%]' : 'px-[4%]'}`}
      aria-hidden="true"
    >
      {shown.map((each) => (
        <span key={each.label} className="flex-1">
          {each.label}
          {isAnswered && 'name' in each && each.name ? `: ${each.name}` : ''}
        </span>
      ))}
    </div>
  )
}

/** The same in other lights, once it was answered. */
export function InOtherLights({
  lights,
  shown,
}: {
  readonly lights: readonly PracticeLight[]
  readonly shown: readonly Shown[]
}) {
  return (
    <ul className="flex gap-4 px-4">
      {lights.map((light) => (
        <li key={light} className="flex flex-1 flex-col gap-1">
          <Field light={light} shown={shown} className="h-20" inset="inset-[6%]" />
          <span className="text-small">{light}</span>
        </li>
      ))}
    </ul>
  )
}

/** A finish as the bench holds it up: its own photograph, flecks in their ground, or its colours by share. */
function HeldFinish({
  finish: { ref, kind, keeper, patchHash },
  label,
}: {
  readonly finish: PracticeFinish
  readonly label: string
}) {
  const { name, colours } = keeper
  const id = 'own' in ref ? ref.own : ref.invented.toString(16).padStart(8, '0')
  const byShare =
    isMottled(kind) && colours.length > 1 ? (
      <Mottled keeper={{ id, name, colours }} />
    ) : (
      <KeeperSwatch colours={colours} stacked>
        {({ part, reflectance }) => (
          <RelitPatch
            reflectance={reflectance}
            label={`${label}, ${part}`}
            className="h-full w-full"
          />
        )}
      </KeeperSwatch>
    )
  return patchHash === null ? (
    byShare
  ) : (
    <RelitPhoto hash={patchHash} label={label}>
      {byShare}
    </RelitPhoto>
  )
}

function Field({
  light,
  shown,
  className,
  inset,
}: {
  readonly light: PracticeLight
  readonly shown: readonly Shown[]
  readonly className: string
  readonly inset: string
}) {
  return (
    <InLight light={practiceLight(light)}>
      <div className={`relative ${className}`}>
        <RelitPatch reflectance={WHITE_CARD} className="absolute! inset-0" />
        <div className={`absolute flex ${inset}`}>
          {shown.map((each) => (
            <span key={each.label} className="h-full flex-1">
              {'reflectance' in each ? (
                <RelitPatch
                  reflectance={each.reflectance}
                  label={`${each.label}, ${light}`}
                  className="h-full w-full"
                />
              ) : (
                <HeldFinish finish={each.finish} label={`${each.label}, ${light}`} />
              )}
            </span>
          ))}
        </div>
      </div>
    </InLight>
  )
}
