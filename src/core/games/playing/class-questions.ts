import { shuffled, type Chance } from '../../chance/chance'
import { choicesFor, itemKey, type PracticeItem, type StepPlace } from '../../skills'
import { taskFor } from '../../skills/tasks'
import { numeral, pattern, type Face } from '../../things/face'

/** A step with how many children of a class work at it. */
export interface ClassStep extends StepPlace {
  children: number
}

export interface ClassQuestion {
  place: StepPlace
  item: PracticeItem
  /** What is looked at; null: the question stands as a sentence. */
  shows: Face | null
}

/** Tries for a question that was not asked yet in the round: a step may have few of them. */
const tries = 20

/**
 * Questions for a whole class, each step in proportion to the children who work at it (largest remainders), in a mixed
 * order. Steps whose tasks need things in the hand are left out.
 * @returns none where no step can be asked
 */
export function questionRound(steps: readonly ClassStep[], count: number, chance: Chance): ClassQuestion[] {
  const askable = steps
    .filter(({ children }) => children > 0)
    .filter((place) => askedOf(place, chance) !== null)
  const total = askable.reduce((sum, { children }) => sum + children, 0)
  if (total === 0) return []
  const quotas = askable.map((step) => ({ step, share: (count * step.children) / total }))
  const left = count - quotas.reduce((sum, { share }) => sum + Math.floor(share), 0)
  const more = [...quotas]
    .sort((a, b) => (b.share % 1) - (a.share % 1))
    .slice(0, left)
    .map(({ step }) => step)
  const asked = new Set<string>()
  const questions = quotas.flatMap(({ step, share }) => {
    const times = Math.floor(share) + (more.includes(step) ? 1 : 0)
    return Array.from({ length: times }, () => {
      let question = askedOf(step, chance)
      for (let i = 0; i < tries && question && asked.has(itemKey(question.item)); i++)
        question = askedOf(step, chance) ?? question
      if (question) asked.add(itemKey(question.item))
      return question
    }).filter((question) => question !== null)
  })
  return shuffled(questions, chance)
}

/** A question at a step; null: of many drawn there none can be asked. */
function askedOf(place: StepPlace, chance: Chance): ClassQuestion | null {
  // Tasks of one step differ: two amounts may be equal, or one of them be counted out.
  for (let i = 0; i < tries; i++) {
    const question = drawnAt(place, chance)
    if (question) return question
  }
  return null
}

function drawnAt({ strand, step }: StepPlace, chance: Chance): ClassQuestion | null {
  const { item, do: needed } = taskFor({ strand, step }, chance)
  const shows = faceOf(item)
  // Which of two equal numbers is more is no question.
  if (choicesFor(item)?.length === 1) return null
  if (shows === undefined || (shows === null && needed !== null && !spoken.includes(item.op))) return null
  return { place: { strand, step }, item, shows }
}

/** Asked aloud as well as with things: the sum is the same. */
const spoken: readonly PracticeItem['op'][] = [
  'add',
  'subtract',
  'neighbour',
  'tens',
  'share',
  'groups',
  'part-of',
  'odd-even',
  'pay',
]

/** What a question shows; null: a sentence; undefined: it can't be asked on a screen. */
function faceOf(item: PracticeItem): Face | null | undefined {
  switch (item.op) {
    case 'count':
    case 'order':
    case 'pattern':
      return undefined
    case 'numeral':
      // What is to be written is heard: seen, it would be copied.
      return item.write ? undefined : numeral(item.answer)
    case 'coins':
      return { kind: 'coins', coins: item.coins }
    case 'clock':
      return { kind: 'clock', minutes: (item.hour % 12) * 60 + item.minute }
    case 'see':
      return pattern(item.pattern, item.answer, 10)
    default:
      return null
  }
}
