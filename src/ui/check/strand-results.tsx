import type { CheckRun } from '@/core/evidence/check-run'
import { summarise, type Belief } from '@/core/evidence/estimate'
import { difficultiesOf } from '@/core/evidence/history'
import { strandOf, type StrandId } from '@/core/skills'
import { inHundred } from '../words'

const overWords = {
  sure: 'sure enough',
  'asked-enough': 'asked enough for today',
  skipped: 'left alone today',
} as const

/** “next to secure, count on to 20” */
function workingStep(strand: StrandId, belief: Belief): string {
  const { workingStep: step } = summarise(belief, difficultiesOf(strand))
  return step === null ? 'every step secure' : strandOf(strand).steps[step].short
}

/** Before and after on each strand, in words. */
export function StrandResults({
  before,
  strands,
}: {
  before: ReadonlyMap<StrandId, Belief>
  strands: CheckRun['strands']
}) {
  return (
    <ul className="rows check-result">
      {strands.map(({ strand, check, over }) => {
        const [was, is] = [workingStep(strand, before.get(strand)!), workingStep(strand, check.belief)]
        const difficulties = difficultiesOf(strand)
        const step = summarise(check.belief, difficulties).workingStep
        const sure = step === null ? null : summarise(check.belief, difficulties).rightAlone[step]
        return (
          <li key={strand}>
            <div className="grow">
              <strong>{strandOf(strand).title}</strong>
              <div>
                {was === is ? (
                  <>Still at “{is}”</>
                ) : (
                  <>
                    “{was}” before, now <strong>“{is}”</strong>
                  </>
                )}
                {sure !== null && (
                  <span className="muted"> · right there alone {inHundred(sure)} times in 100</span>
                )}
              </div>
            </div>
            <span className="small muted">
              {over === null || (over !== 'skipped' && check.asked === 0)
                ? check.asked === 0
                  ? 'not asked'
                  : 'more would tell more'
                : overWords[over]}
            </span>
          </li>
        )
      })}
    </ul>
  )
}
