import { eyeWords, type EyeSaid } from '@/core/record/eye-said'
import { capital } from '@/core/words'
import { VerdictMark } from './verdict-mark'

/** What the eye said of a pair that was looked at, before the model's reading of it. */
export function EyeLine({ said }: { readonly said: Pick<EyeSaid, 'verdict' | 'reasons'> }) {
  return (
    <span className="flex items-center gap-1 font-medium">
      <VerdictMark verdict={said.verdict} />
      {capital(eyeWords(said))}.
    </span>
  )
}
