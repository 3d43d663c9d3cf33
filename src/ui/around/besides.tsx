import type { Reflectance } from '@/core/colour/spectrum'
import { judgementOf, judgedWords } from '@/core/pairing/chance'
import { JudgementMark } from '../verdict/verdict-mark'
import { RelitPatch } from '../swatch/relit-patch'
import type { besides } from './around-model'
import { Fold } from '../form/fold'
import { PaintLink } from '../frame/paint-link'

/** Accents from what also works, cloth by its use, and tones that only texture keeps apart. */
export function Besides({
  wall,
  accents,
  fabrics,
  near,
}: ReturnType<typeof besides> & { readonly wall: Reflectance }) {
  return (
    <>
      <Fold title="Accents">
        {accents.length === 0 ? (
          <p className="text-small">Nothing that also works here leans enough to be an accent.</p>
        ) : (
          <ul>
            {accents.map(({ colour: { paint }, words }) => (
              <li key={paint.id} className="flex items-center gap-3 py-1 text-small">
                <RelitPatch
                  reflectance={paint.reflectance}
                  label={paint.name}
                  className="size-11 shrink-0"
                />
                <p>
                  <PaintLink
                    deckColourId={paint.deckColourId}
                    strengthPercent={paint.strengthPercent}
                  >
                    {paint.code}, {paint.name} at {paint.strengthPercent} %
                  </PaintLink>
                  : {words}
                </p>
              </li>
            ))}
          </ul>
        )}
      </Fold>
      <Fold title="Fabrics">
        <p className="text-fine text-dim">Colours to look for in cloth, beside these walls.</p>
        <ul>
          {fabrics.map(({ use, colour, chance }) => (
            <li key={use} className="flex items-center gap-3 py-1 text-small">
              <span className="flex h-11 w-20 shrink-0">
                <RelitPatch reflectance={wall} className="h-full flex-1" />
                <RelitPatch reflectance={colour.reflectance} className="h-full flex-1" />
              </span>
              <p>
                <span className="font-medium">{use}</span>: like {colour.called}
                <span className="flex items-center gap-1 text-fine">
                  <JudgementMark judgement={judgementOf(chance)} /> {judgedWords(chance)}
                  {colour.isKnown && ', nearly chosen for the walls'}
                </span>
              </p>
            </li>
          ))}
        </ul>
        {fabrics.length === 0 && (
          <p className="text-small">No colour in these decks is sure enough.</p>
        )}
        {near.map((words) => (
          <p key={words} className="text-small">
            {words}
          </p>
        ))}
      </Fold>
    </>
  )
}
