import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import type { CheckRun } from '@/core/evidence/check-run'
import type { Belief } from '@/core/evidence/estimate'
import { stepOf, strandOf, type StrandId } from '@/core/skills'
import { many } from '../words'
import { StrandResults } from './strand-results'

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
        {asked > 0
          ? `${child.name}, after ${many(asked, 'answer')}`
          : run.next
            ? `Nothing was asked of ${child.name}`
            : `${child.name} is known well enough here`}
      </h1>
      <StrandResults before={before} strands={run.strands} />
      {asked > 0 && (
        <p className="muted">
          Groups and plans made from now on reckon with this; those that stand are left as they are.
          {run.next && (
            <>
              {' '}
              Next would come “{stepOf(run.next).short}” ({strandOf(run.next.strand).title.toLowerCase()}):
              now, or on another day from here.
            </>
          )}
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
