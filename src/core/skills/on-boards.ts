import { seededChance } from '../chance/chance'
import type { StepPlace } from './index'
import { taskFor } from './tasks'

/**
 * True where several children at once can answer a step's task with a number on their own whiteboards: not where number
 * words are said, things counted out, swapped or laid in order, or hands of a clock turned.
 */
export function answeredOnBoards(place: StepPlace): boolean {
  if (place.step === 'trade-ten') return false
  const { item } = taskFor(place, seededChance(1))
  switch (item.op) {
    case 'say':
    case 'skip':
    case 'order':
    case 'clock':
    case 'pattern':
      return false
    case 'count':
      // What lies there for all to see is counted by all; what is counted out is one child's heap.
      return item.set === true || place.step === 'tens-and-ones-100'
    default:
      return true
  }
}
