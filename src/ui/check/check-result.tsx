import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import type { CheckRun } from '@/core/evidence/check-run'
import { summarise, type Belief } from '@/core/evidence/estimate'
import { difficultiesOf } from '@/core/evidence/history'
import { strandOf, type StrandId } from '@/core/skills'
import { inHundred, many } from '../words'

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

/** What has come of a check: before and after on each strand, and where to go from here. */
export function CheckResult({
  classId,
  child,
  before,
  run,
  asked,
  then,
  onMore,
  onOther,
}: {
  classId: string
  child: { id: string; name: string }
  before: ReadonlyMap<StrandId, Belief>
  run: CheckRun
  asked: number
  then: readonly { id: string; name: string }[]
  /** Null: more questions would tell nothing more. */
  onMore: (() => void) | null
  onOther: () => void
}) {
  const [next, ...later] = then
  return (
    <>
      <h1>
        {asked === 0
          ? `${child.name} is known well enough here`
          : `${child.name}, after ${many(asked, 'answer')}`}
      </h1>
      <ul className="rows check-result">
        {run.strands.map(({ strand, check, over }) => {
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
      {asked > 0 && (
        <p className="muted">
          Groups and plans made from now on reckon with this; those that stand are left as they are.
        </p>
      )}
      <p className="button-row">
        {next ? (
          <Link
            className="btn btn-primary"
            href={`/c/${classId}/check/${next.id}${later.length > 0 ? `?then=${later.map(({ id }) => id).join(',')}` : ''}`}
          >
            Next: {next.name}
          </Link>
        ) : (
          <Link className="btn btn-primary" href={`/c/${classId}/children/${child.id}`}>
            To {child.name}
          </Link>
        )}
        {onMore && (
          <Button variant="quiet" onClick={onMore}>
            Ask on
          </Button>
        )}
        <Button variant="quiet" onClick={onOther}>
          Other strands
        </Button>
        <Link className="btn btn-plain" href={`/c/${classId}/groups`}>
          To groups
        </Link>
      </p>
    </>
  )
}
