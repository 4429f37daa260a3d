import { listed } from '../words'
import type { Notable } from '@/core/games/engine/round'
import type { PracticeItem, SlipReason } from '@/core/skills'
import { stepWords } from '@/core/skills/item'
import type { MoveWords } from '@/core/table'

/** What to ask the class while a question stands open. */
export function promptFor(item: PracticeItem, verb: MoveWords['verb'] | undefined): string {
  switch (item.op) {
    case 'add':
      return verb === 'move' ? 'Where will it land?' : 'How many altogether?'
    case 'subtract':
      if (verb === 'move') return 'Where will it land?'
      return item.compared ? 'How many more?' : 'How many are left?'
    case 'missing':
      return 'How many are missing?'
    case 'count':
      return item.set ? 'Count them all' : 'Count them out'
    case 'see':
      return 'How many did you see?'
    case 'numeral':
      return item.write ? 'Write the number you hear' : 'Say the number'
    case 'say':
    case 'skip':
      return 'What comes next?'
    case 'compare':
      return item.ask === 'more' ? 'Which is more?' : 'Which is less?'
    case 'neighbour':
      return item.by < 0 ? 'What comes before?' : 'What comes after?'
    case 'order':
      return 'Where does it belong?'
    case 'tens':
      return 'How much is that?'
    case 'multiply':
    case 'groups':
      return 'How many altogether?'
    case 'share':
      return 'How many for each?'
    case 'part-of':
      return 'How many is that?'
    case 'odd-even':
      return 'Odd or even?'
    case 'coins':
      return 'How much are they worth?'
    case 'pay':
      return 'What is the fewest coins you can use?'
    case 'change':
      return 'How much comes back?'
    case 'factor':
      return 'How many times?'
    case 'clock':
      // At a game the card says the time, and the clock is set to it.
      return verb === undefined ? 'What time is it?' : 'Where do the hands go?'
    case 'pattern':
      return 'Which part comes again?'
  }
}

/** How to think about it, in a line. */
export function hintFor(item: PracticeItem): string {
  switch (item.op) {
    case 'add':
      return Math.min(item.a, item.b) === 0
        ? 'None more. Tell a partner.'
        : `Keep ${Math.max(item.a, item.b)} in your head. Tell a partner.`
    case 'subtract':
      return `Start at ${item.a}. Tell a partner.`
    case 'missing':
      return `Go on from ${item.part} to ${item.whole}. Tell a partner.`
    case 'count':
      return item.answer > 20 ? 'Say the tens first, then the ones.' : 'Touch each one once.'
    case 'see':
      return 'How did you see it?'
    case 'share':
    case 'part-of':
      return 'Are all shares equal?'
    case 'groups':
      return `Count in ${stepWords[item.size] ?? 'steps'}.`
    case 'odd-even':
      return 'Does each have a partner?'
    case 'coins':
      return 'Start with the largest coin.'
    case 'pay':
      return 'Which is the largest coin that fits?'
    case 'change':
      return `Go on from ${item.price} to ${item.paid}. Tell a partner.`
    case 'compare':
      return 'How do you know?'
    case 'order':
      return 'Which is it between?'
    default:
      return 'Tell a partner.'
  }
}

/** Why an answer like that is given. */
export const slipInWords: Record<SlipReason, string> = {
  'counted-own': 'Counted the number started from as one.',
  'one-too-many': 'Counted one twice.',
  'one-missed': 'Left one out.',
  added: 'Added where something was missing or taken away.',
  'took-away': 'Took away where it was to be added.',
  'forgot-the-ten': 'Left out the new ten.',
  'kept-the-ten': 'Kept a ten that was changed.',
  'smaller-from-larger': 'Took the smaller digit from the larger one.',
  'ones-as-tens': 'Took ones for tens.',
  'digits-turned': 'Turned the digits round.',
  'looks-alike': 'Six and nine look alike.',
  'teen-or-ty': 'Heard “-ty” for “-teen”, or the other way round.',
  'other-way': 'Went the other way.',
  'by-ones': 'Went on by ones.',
  'one-group-less': 'Left out one group.',
  'one-group-more': 'Counted one group too many.',
  'chose-the-other': 'Chose the other one.',
  'named-the-whole': 'Said the whole in place of the part.',
  'next-hour': 'Named the hour that comes next.',
  'hands-swapped': 'Took one hand for the other.',
  'unit-too-long': 'Put one piece too many in the repeating part.',
  'unit-too-short': 'Left out a piece of the part that comes again.',
  'unequal-shares': 'Shares were not equal, or some were left over.',
  'halved-once': 'Halved once, not twice.',
  'not-paired': 'Did not put them in pairs.',
  'counted-coins': 'Counted the coins, not what they are worth.',
  'left-one-coin': 'Left a coin out.',
  'all-in-ones': 'Paid it all in ones.',
  'said-the-price': 'Said the price again.',
}

/** In how many games a case comes up: a share of the rounds tried, told no finer than they tell it. */
export function oftenInWords(share: number): string {
  if (share >= 0.95) return 'in nearly every game'
  if (share >= 0.5) return 'in most games'
  return share >= 0.02 ? `in 1 game of ${Math.round(1 / share)}` : 'rarely'
}

/** A case as a teacher asks for it. */
export const caseInWords: Record<Notable, string> = {
  waits: 'a go that waits',
  nothing: 'a zero',
  double: 'a double',
  'goes-again': 'another go',
  'sent-back': 'one sent back',
  takes: 'cards taken',
  'moves-the-body': 'the movement',
  'fewer-dice': 'one die near the goal',
  back: 'a step back',
  beyond: 'going past the goal',
  'covers-several': 'several covered at once',
  ends: 'the end',
}

/** Who has won a game that is over, told to the children. */
export function winnersInWords(winners: readonly number[], players: number): string {
  if (players === 1) return 'You have finished.'
  if (winners.length === players) return 'You have all won.'
  if (winners.length === 0) return 'Nobody has won this time.'
  const names = winners.map((winner) => `Player ${winner + 1}`)
  return names.length === 1 ? `${names[0]} has won.` : `${listed(names)} have won together.`
}

/** What was done, in a sentence about the player. */
export function moveInWords({ verb, numbers, player }: MoveWords): string {
  const list =
    numbers.length > 1 ? `${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)}` : String(numbers[0] ?? '')
  switch (verb) {
    case 'move':
      return numbers.length > 2 ? `From ${numbers[0]} to ${numbers[2]}` : `Move ${list}`
    case 'cover':
      return `Cover ${list}`
    case 'build':
      return numbers.length > 2 ? `From ${numbers[0]} to ${numbers[2]}` : `Build ${list}`
    case 'fill':
      return `Write ${list}`
    case 'mark':
      return `Mark ${list}`
    case 'place':
      return `Place one on ${list}`
    case 'take':
      return `Take ${list}`
    case 'let-go':
      return numbers.length === 0 ? 'Keep them all' : `Let ${list} go`
    case 'keep':
      return numbers.length === 0 ? 'Keep none' : `Keep ${list}`
    case 'ask':
      return player === undefined ? `Is it more than ${list}?` : `Ask player ${player + 1} for ${list}`
    case 'turn':
      return 'Turn a card'
    case 'choose':
      return 'Choose a question'
    case 'call':
      return `The call word in place of ${list}: now the other way round`
    case 'answer':
      return ''
    case 'find':
      return 'Find the place'
    case 'mend':
      return 'Find the slip and put it right'
  }
}
