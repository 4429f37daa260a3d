import { seededChance } from '@/core/chance/chance'
import { simulateChecks, waysToAsk } from '@/core/evidence/testing/simulated-check'
import { strandOf } from '@/core/skills'
import { say } from './report'

const children = 5000

/** How well and how fast the quick check finds the step of simulated children with known ability. */
export function quickCheck() {
  say()
  say(
    `quick check on ${children} simulated children (ability uniform over the ladder,\njudged answers, flat prior, no time noise, seed 1)`,
  )
  say(
    '(goals: 94 % no further than a whole step of 1.5 logits from the true one, with at most 62 % of the questions of the',
  )
  say('upward interview; on a ladder without steps between, a whole step is the next one)')
  for (const id of ['add', 'numerals'] as const) {
    const difficulties = strandOf(id).steps.map(({ difficulty }) => difficulty)
    const all = waysToAsk.map((way) => simulateChecks(way, difficulties, children, seededChance(1)))
    const interview = all[waysToAsk.indexOf('upward interview')].questions
    waysToAsk.forEach((way, i) => {
      const { withinOne, withinWhole, questions, rmse } = all[i]
      const half = 1.96 * Math.sqrt((withinWhole * (1 - withinWhole)) / children)
      say(
        `  ${id.padEnd(10)} ${way.padEnd(18)} ${(100 * withinWhole).toFixed(1)} % (± ${(100 * half).toFixed(1)}) within a whole step, ${(100 * withinOne).toFixed(1)} % within the next  ` +
          `${questions.toFixed(2)} questions, ${((100 * questions) / interview).toFixed(0)} % of the interview's  rmse ${rmse.toFixed(2)}`,
      )
    })
  }
}
