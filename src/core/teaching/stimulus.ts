import type { PracticeItem } from '../skills'
import { numeral, pattern, type Face } from '../things/face'

/** What a child sees while it is asked. */
export interface Stimulus {
  faces: readonly Face[]
  /** Seconds it is shown, then it is covered: what is seen at a glance must not be counted. Null: it stays. */
  seconds: number | null
}

/** Up to here an amount is shown as dots; more is shown by its numeral. */
const mostDots = 10

/** Two seconds: long enough to look, too short to count. Common practice, no source. */
const glance = 2

const amount = (n: number): Face => (n <= mostDots ? { kind: 'objects', n } : numeral(n))

/**
 * What is shown with a task; null: it is said and heard, or made by the child, and nothing is seen. It shows what is asked
 * about and never the answer: no clock where one is to be set, no rows where a product is to be known.
 */
export function stimulusFor(item: PracticeItem): Stimulus | null {
  switch (item.op) {
    case 'see':
      return { faces: [pattern(item.pattern, item.answer)], seconds: glance }
    case 'coins':
      return { faces: [{ kind: 'coins', coins: item.coins }], seconds: null }
    case 'numeral':
      return item.write ? null : { faces: [numeral(item.answer)], seconds: null }
    case 'compare':
      return { faces: [amount(item.a), amount(item.b)], seconds: null }
    case 'tens':
      // How many tens a card has is asked of the card; rods would be counted.
      return { faces: [numeral(item.answer)], seconds: null }
    case 'pattern':
      return {
        faces: [{ kind: 'chain', colours: item.unit.repeat(Math.ceil(8 / item.unit.length)).slice(0, 8) }],
        seconds: null,
      }
    default:
      return null
  }
}
