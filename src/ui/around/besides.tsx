import { RelitPatch } from '../swatch/relit-patch'
import type { besides } from './around-model'

/** Accents from what also works, cloth by its lean and depth, and tones that only texture keeps apart. */
export function Besides({ accents, fabrics, near }: ReturnType<typeof besides>) {
  return (
    <>
      <section aria-label="Accents">
        <h2 className="text-title">Accents, sparingly</h2>
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
                  <span className="font-medium">
                    {paint.code}, {paint.name} at {paint.strengthPercent} %
                  </span>
                  : {words}
                </p>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section aria-label="Fabrics" className="text-small">
        <h2 className="text-title">Fabrics</h2>
        <p>
          <span className="font-medium">Connects</span>{' '}
          {fabrics.connects.join('; ') || 'none clearly'}.
        </p>
        <p>
          <span className="font-medium">Sets it off</span>{' '}
          {fabrics.setsOff.join('; ') || 'none clearly'}.
        </p>
        {near.map((words) => (
          <p key={words}>{words}</p>
        ))}
      </section>
    </>
  )
}
