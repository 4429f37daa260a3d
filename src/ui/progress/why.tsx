import { countWanted, secureWanted, type Weighed } from '@/core/evidence/policies'
import { hundredths, lower, many } from '../words'

/** What a suggestion rests on, by each way of deciding, and what would change it. */
export function Why({ weighed: { model, count }, at }: { weighed: Weighed; at: string }) {
  return (
    <section className="why" aria-label="What it rests on">
      <h2 className="section">What it rests on</h2>
      <dl className="small">
        <dt>
          By the estimate <Verdict ready={model.ready} />
        </dt>
        <dd>
          {hundredths(model.probability)} in 100 that “{at}” is secure, seen on {many(model.days, 'day')};{' '}
          {hundredths(secureWanted)} and two days are wanted. One more alone makes it{' '}
          {hundredths(model.afterOwn)}, one more “not yet” {hundredths(model.afterNotYet)}.
        </dd>
        <dt>
          By counting <Verdict ready={count.ready} />
        </dt>
        <dd>
          {count.of === 0
            ? 'No mark of an adult at this step yet.'
            : `${count.own} of the last ${count.of} alone, on ${many(count.days, 'day')}.`}{' '}
          Wanted: {countWanted.own} of {countWanted.of} on {lower(countWanted.days)} days.
        </dd>
        <dt>By judgement</dt>
        <dd>Your decision stands, whatever the other two say.</dd>
      </dl>
    </section>
  )
}

const Verdict = ({ ready }: { ready: boolean }) => (
  <span className={ready ? 'verdict ready' : 'verdict'}>{ready ? 'ready' : 'not ready'}</span>
)
