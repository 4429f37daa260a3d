import { say } from '../report'
import { liveClasses } from './classes'
import { policies, type TermOutcome } from './term'

/** Of the ways that only bound the others so many classes are enough. */
const classesToBound = 20
const bounds = ['all', 'best']

interface Told {
  name: string
  outcomes: TermOutcome[]
}

const sum = (outcomes: readonly TermOutcome[], of: (one: TermOutcome) => number) =>
  outcomes.reduce((total, one) => total + of(one), 0)

/** Share of child-slots in the true zone, with the half-width of its 95 % interval over the classes. */
function zoneOf(outcomes: readonly TermOutcome[]): { share: number; half: number } {
  const shares = outcomes.map(({ trueZone, childSlots }) => trueZone / childSlots)
  const share = shares.reduce((total, one) => total + one, 0) / shares.length
  const spread = Math.sqrt(shares.reduce((total, one) => total + (one - share) ** 2, 0) / (shares.length - 1))
  return { share, half: (1.96 * spread) / Math.sqrt(shares.length) }
}

/** Weeks told at the beginning and at the end of the term. */
const fewWeeks = 2

/** Share in the true zone in some weeks, of all classes together. */
function zoneInWeeks(outcomes: readonly TermOutcome[], from: number, to?: number): number {
  const weeks = outcomes.flatMap(({ byWeek }) => byWeek.slice(from, to))
  const all = weeks.reduce((total, { childSlots }) => total + childSlots, 0)
  return weeks.reduce((total, { trueZone }) => total + trueZone, 0) / all
}

/** Share in the true zone at a level that mixes in hardly anything beyond the child. */
const throughout = (outcomes: readonly TermOutcome[]) =>
  sum(outcomes, (one) => one.trueThroughout) / sum(outcomes, ({ childSlots }) => childSlots)

const percent = (share: number) => `${(100 * share).toFixed(1)} %`

/** Ten weeks of simulated classes, run by the product's own defaults and beside them by what is done without it. */
export async function term(classes: number) {
  say()
  say(
    `${classes} simulated classes of 26 (Year 1, abilities and growth hidden) through ten weeks of three sessions:`,
  )
  say(
    'stations and games by the first plan, marks at 60 % of children near an adult and 15 % elsewhere, 3 % slips',
  )
  say(
    '(goals: true zone at least 1.5 × one level for all and 1.15 × week one; false “ready” at most 10 %, false “hard” 5 %)',
  )
  const told = new Map<string, Told>()
  const lived = await liveClasses(
    Object.keys(policies).map((policy) => ({
      policy,
      classes: bounds.includes(policy) ? Math.min(classesToBound, classes) : classes,
    })),
  )
  for (const [key, outcomes] of lived) {
    const many = outcomes.length
    const { name } = policies[key]()
    told.set(key, { name, outcomes })
    const { share, half } = zoneOf(outcomes)
    const children = 26 * many
    const [ready, hard] = [sum(outcomes, (one) => one.ready.said), sum(outcomes, (one) => one.hard.said)]
    say(`  ${name}${many < classes ? ` (${many} classes)` : ''}`)
    say(
      `    true zone ${percent(share)} (± ${(100 * half).toFixed(1)}), in the first two weeks ${percent(zoneInWeeks(outcomes, 0, fewWeeks))}, in the last ${percent(zoneInWeeks(outcomes, -fewWeeks))}`,
    )
    say(`    with at most a tenth of the items beyond the child ${percent(throughout(outcomes))}`)
    say(
      `    “ready” ${(ready / children).toFixed(2)} a child, wrong ${percent(sum(outcomes, (one) => one.ready.wrong) / Math.max(1, ready))}` +
        `; “hard” ${(hard / children).toFixed(2)} a child, wrong ${percent(sum(outcomes, (one) => one.hard.wrong) / Math.max(1, hard))}`,
    )
    say(
      `    moves ${(sum(outcomes, (one) => one.moves) / children).toFixed(2)} a child, marks ${(sum(outcomes, (one) => one.marks) / children).toFixed(0)} a child` +
        `; at the end belief − truth on addition ${(sum(outcomes, (one) => one.bias) / many).toFixed(2)}, rmse ${(sum(outcomes, (one) => one.rmse) / many).toFixed(2)} logits`,
    )
    const minutes = Object.entries(outcomes[0].minutes).map(
      ([strand, all]) => `${strand} ${(all / 26).toFixed(0)}`,
    )
    say(`    minutes a child in the first class: ${minutes.join(', ')}`)
  }
  const whole = (outcomes: readonly TermOutcome[]) => zoneOf(outcomes).share
  const lastWeeks = (outcomes: readonly TermOutcome[]) => zoneInWeeks(outcomes, -fewWeeks)
  const ratio = (key: string, beside: string, of = whole) => {
    const [own, other] = [told.get(key)!.outcomes, told.get(beside)!.outcomes]
    const many = Math.min(own.length, other.length)
    return (of(own.slice(0, many)) / of(other.slice(0, many))).toFixed(2)
  }
  say(`  the product ÷ one level for all ${ratio('product', 'one')}, ÷ week one ${ratio('product', 'fixed')}`)
  say(
    `  of the last two weeks alone ${ratio('product', 'one', lastWeeks)} and ${ratio('product', 'fixed', lastWeeks)}; with at most a tenth of the items beyond ${ratio('product', 'one', throughout)} and ${ratio('product', 'fixed', throughout)}`,
  )
  say(
    `  with the best that guesses and marks can tell that would be ${ratio('best', 'one')} and ${ratio('best', 'fixed')}: what hardly another estimate can better`,
  )
  say(
    `  with nothing hidden that would be ${ratio('all', 'one')} and ${ratio('all', 'fixed')}: what no judgement can better`,
  )
}
