import { estimateWanted, type MovingUp } from '@/core/evidence/moving-up'
import type { Weighed } from '@/core/evidence/policies'
import { inHundred, spelled, many } from '../words'

/** What a suggestion rests on, by each way of deciding, the class's own first, and what would change it. */
export function Why({
  weighed: { estimate, count },
  at,
  speaks,
}: {
  weighed: Weighed
  at: string
  speaks: MovingUp['by']
}) {
  const ways = {
    estimate: (
      <>
        <dt>
          By the estimate <Verdict ready={estimate.ready} />
        </dt>
        <dd>
          {inHundred(estimate.probability)} in 100 that “{at}” is secure, seen on {many(estimate.days, 'day')}
          ; {inHundred(estimateWanted.secure)} and {spelled(estimateWanted.days)} days are wanted. One more
          alone makes it {inHundred(estimate.afterOwn)}, one more “not yet” {inHundred(estimate.afterNotYet)}.
        </dd>
      </>
    ),
    count: (
      <>
        <dt>
          By counting <Verdict ready={count.ready} />
        </dt>
        <dd>
          {count.of === 0
            ? 'No mark of an adult at this step yet.'
            : `${count.own} of the last ${count.of} alone, on ${many(count.days, 'day')}.`}{' '}
          Wanted: {count.wanted.own} of {count.wanted.of} on {many(count.wanted.days, 'day')}.
        </dd>
      </>
    ),
    judgement: (
      <>
        <dt>By judgement</dt>
        <dd>Your decision stands, whatever the other two say.</dd>
      </>
    ),
  }
  const order = [speaks, ...(['estimate', 'count', 'judgement'] as const).filter((way) => way !== speaks)]
  return (
    <section className="why" aria-label="What it rests on">
      <h2 className="section">What it rests on</h2>
      <p className="tiny muted">The first is your house style; the others stand beside it.</p>
      <dl className="small">
        {order.map((way) => (
          <div key={way}>{ways[way]}</div>
        ))}
      </dl>
    </section>
  )
}

const Verdict = ({ ready }: { ready: boolean }) => (
  <span className={ready ? 'verdict ready' : 'verdict'}>{ready ? 'ready' : 'not ready'}</span>
)
