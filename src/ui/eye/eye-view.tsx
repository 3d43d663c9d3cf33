import type { ReactNode } from 'react'
import {
  EYE_FACETS,
  LEAST_CLAIMED,
  type Differences,
  type EyeAgreement,
  type EyeFacet,
  type EyeLook,
} from '@/core/eye/differences'
import { judgedWords } from '@/core/pairing/chance'
import { VERDICT_WORDS } from '@/core/record/verdict'
import { counted } from '@/core/words'
import { Link } from '../frame/page-link'

const HEADS: Readonly<Record<EyeFacet, string>> = {
  lean: 'By lean of the wall',
  finish: 'By finish',
  light: 'By light',
  medium: 'By what was looked at',
}

/** Where this consultant's verdicts and the readings of that moment differ, and who was followed. */
export function EyeView({
  differences,
  children,
}: {
  readonly differences: Differences
  /** What was learnt of it. */
  readonly children: ReactNode
}) {
  const { all, seenBefore, facets, client, boards } = differences
  return (
    <div className="flex flex-col gap-8">
      <section aria-label="On the whole" className="flex flex-col gap-2">
        <p className="max-w-prose border-l-4 border-ink pl-3 font-medium">{onTheWhole(all)}</p>
        <p className="max-w-prose text-small text-dim">
          Counted are verdicts beside what stays, given before the reading was seen, where both
          spoke out.{' '}
          {seenBefore > 0 &&
            `${counted(seenBefore, 'look')} ${seenBefore === 1 ? 'tells' : 'tell'} nothing of it: the reading had been seen.`}
        </p>
        {all.of > 0 && (
          <div className="grid grid-cols-2 gap-x-8 gap-y-2 max-lg:grid-cols-1">
            <Looks title="You said it works, the model not" looks={all.eyeOnly} />
            <Looks title="The model said it works, you not" looks={all.modelOnly} />
          </div>
        )}
      </section>
      {all.of > 0 && (
        <div className="grid grid-cols-2 gap-8 max-lg:grid-cols-1">
          {EYE_FACETS.map((facet) => (
            <FacetTable key={facet} head={HEADS[facet]} groups={facets[facet]} />
          ))}
        </div>
      )}
      {all.eyeOnly.length + all.modelOnly.length > 0 && (
        <section aria-label="Who was followed" className="flex flex-col gap-3">
          <h2 className="text-title">Who was followed where you differed</h2>
          <Sided words="The client, by what was said at the look, else by the ruling" of={client} />
          <Sided words="A later look at a board, or at the wall itself" of={boards} />
        </section>
      )}
      {children}
    </div>
  )
}

function onTheWhole({ of, agreed, known }: EyeAgreement): string {
  if (of === 0)
    return 'Nothing to compare yet: a verdict on the bench, before the reading is shown, is the first.'
  const said = `You and the model said the same ${agreed} of ${of} times`
  return known
    ? `${said}: ${percent(known.share)}, and 95 times of 100 between ${percent(known.low)} and ${percent(known.high)}.`
    : `${said}. That is too few to say more: nothing is claimed from under ${LEAST_CLAIMED}.`
}

const percent = (share: number): string => `${Math.round(100 * share)} %`

function FacetTable({
  head,
  groups,
}: {
  readonly head: string
  readonly groups: readonly (EyeAgreement & { readonly value: string })[]
}) {
  return (
    <section aria-label={head}>
      <h2 className="text-title">{head}</h2>
      <table className="mt-1 w-full text-small tabular-nums">
        <thead>
          <tr className="border-b border-ink text-left text-dim">
            <th className="font-normal">
              <span className="sr-only">Which</span>
            </th>
            {['Same', 'Agreement', 'Only you', 'Only it'].map((head) => (
              <th key={head} className="pl-2 text-right align-bottom font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {groups.map(({ value, of, agreed, known, eyeOnly, modelOnly }) => (
            <tr key={value} className="border-b border-rule align-top">
              <th className="py-1 text-left font-medium">
                {eyeOnly.length + modelOnly.length === 0 ? (
                  value
                ) : (
                  <details>
                    <summary className="min-h-6">{value}</summary>
                    <LookList looks={[...eyeOnly, ...modelOnly]} />
                  </details>
                )}
              </th>
              <td className="py-1 text-right">
                {agreed} of {of}
              </td>
              <td className="py-1 text-right">
                {known ? (
                  <>
                    {percent(known.share)}{' '}
                    <span className="text-dim">
                      ({percent(known.low)} to {percent(known.high)})
                    </span>
                  </>
                ) : (
                  <span className="text-dim">too few</span>
                )}
              </td>
              <td className="py-1 text-right">{eyeOnly.length}</td>
              <td className="py-1 text-right">{modelOnly.length}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

const SHOWN_LOOKS = 40

function Looks({ title, looks }: { readonly title: string; readonly looks: readonly EyeLook[] }) {
  return (
    <details className="text-small">
      <summary className="min-h-11 content-center font-medium">
        {title}: {looks.length}
      </summary>
      {looks.length === 0 ? <p className="text-dim">None.</p> : <LookList looks={looks} />}
    </details>
  )
}

/** The latest of them, each a way to its bench. */
function LookList({ looks }: { readonly looks: readonly EyeLook[] }) {
  const more = looks.length - SHOWN_LOOKS
  return (
    <ul className="mt-1 flex flex-col gap-1 font-normal">
      {looks.slice(-SHOWN_LOOKS).map((look) => (
        <LookLine key={look.id} look={look} />
      ))}
      {more > 0 && <li className="text-dim">and {more} before them</li>}
    </ul>
  )
}

function LookLine({ look }: { readonly look: EyeLook }) {
  const { visitId, roomId, candidateId, keeperId, words, verdict, chance, on } = look
  return (
    <li>
      <Link
        className="underline underline-offset-4"
        href={`/visits/${visitId}/rooms/${roomId}/bench?candidate=${candidateId}&keeper=${keeperId}`}
      >
        {words}
      </Link>
      , {on}: you {VERDICT_WORDS[verdict]}
      {chance !== null && `, it ${judgedWords(chance)}`}
    </li>
  )
}

function Sided({
  words,
  of: { eye, model },
}: {
  readonly words: string
  readonly of: Differences['client']
}) {
  const all = eye.length + model.length
  return (
    <div className="text-small">
      <p>
        {words}:{' '}
        <span className="font-medium">
          {all === 0
            ? 'nothing known yet'
            : `with you ${eye.length}, with the model ${model.length}`}
        </span>
        {all > 0 && all < LEAST_CLAIMED && ', too few to claim anything'}.
      </p>
      {all > 0 && (
        <div className="grid grid-cols-2 gap-x-8 max-lg:grid-cols-1">
          <Looks title="With you" looks={eye} />
          <Looks title="With the model" looks={model} />
        </div>
      )}
    </div>
  )
}
