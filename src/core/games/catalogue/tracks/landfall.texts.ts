import { smallParts } from '../../engine/cautions'
import { deviceWords } from '../../engine/texts'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './landfall'

export const landfallTexts = (params: Params): LevelTexts => {
  const { start, goal, source, finish, record, predict } = params
  const back = goal < start
  const device = deviceWords(source)
  const [way, add] = back ? ['back', 'take away'] : ['on', 'add']
  const beyond = back ? 'below the goal' : 'past the goal'
  const zero = source.kind === 'cards' && source.low === 0
  const oneDie = source.kind === 'dice' ? source.oneDieWithin : null
  const large = Math.max(start, goal) > 30
  // An example of its own numbers.
  const short = Math.abs(goal - start) < 9
  const by = short ? 2 : 3
  const from = (short ? 2 : back ? 9 : 6) + Math.min(start, goal)
  return {
    setUp: `Track ${Math.min(start, goal)} to ${Math.max(start, goal)} in the middle, a marker each on ${start}, ${source.kind === 'cards' ? `a shuffled pack ${source.low} to ${source.high} for each child` : device.thing}.`,
    start: `All markers on ${start}. ${predict ? 'Each says how many goes it will take. ' : ''}The youngest begins.`,
    end:
      finish === 'pass' ? `First to reach ${goal} or go ${beyond} wins.` : `First to land on ${goal} wins.`,
    steps: [
      device.step,
      ['say', `Say where you will land.`],
      ['move', `Count ${way} and move.`],
      record ? ['write', 'Write the sum.'] : ['say', `Say: I’m on …, I ${add} …, I land on …`],
      ['pass', 'Pass it on.'],
    ],
    rules: [
      `${device.use}. Count ${way} from your number, one square for each.`,
      `Say it: “I’m on ${from}, I ${add} ${by}, I land on ${back ? from - by : from + by}.”${record ? ' Write it.' : ''}`,
      finish === 'exact'
        ? 'Too many to fit? Stay where you are and pass it on.'
        : finish === 'bounce'
          ? 'Too many? Go to the goal and come back by the rest.'
          : `Reaching the goal or going ${beyond} counts.`,
      ...(oneDie === null
        ? []
        : [`When you are ${oneDie} squares or fewer from the end, roll one die only.`]),
      ...(source.kind === 'cards' ? ['Lay used cards aside; shuffle them when the pack is empty.'] : []),
      ...(zero ? ['Zero: say “none”, stay, and pass it on.'] : []),
    ],
    lookFors: [
      large
        ? 'Crosses the next ten without counting from its start?'
        : back
          ? 'Says the number one less first when going back?'
          : 'Starts from their number without recounting?',
      'Starts on the next square, not the square they are on?',
      'Says where it will land before moving?',
      ...(finish === 'exact' ? ['Judges “does it still fit?” before counting?'] : []),
      ...(zero ? ['Stays on a zero and can say why?'] : []),
    ],
    misconceptions: [
      {
        seen: 'Counts the square the marker stands on as one.',
        ask: 'Where are you now? Which square comes next?',
        move: 'counted-own',
      },
      back
        ? {
            seen: 'Counts on when the track goes down.',
            ask: 'Will your number get bigger or smaller?',
            move: 'took-away',
            slip: 'added',
          }
        : {
            seen: 'Starts again from the first square every go.',
            ask: `You are on ${from}. Do we need to count those again?`,
            move: 'starts-from-one',
          },
      ...(zero
        ? [
            {
              seen: 'Moves one square on a zero.',
              ask: 'Show me none with your fingers. Where does the marker go?',
              move: 'zero' as const,
            },
          ]
        : []),
    ],
    iCan: back ? 'I can start from my number and count back.' : 'I can start from my number and count on.',
    words: [
      `count ${way}`,
      'land on',
      back ? 'take away' : 'add',
      'how many more',
      ...(finish === 'exact' ? ['too many'] : []),
    ],
    easier: 'Put a sticky note on the square they are on and hop one finger at a time.',
    harder: 'Say the answer first, then move straight there without counting.',
    stuck: 'Touch the next square: “one”. Do it together.',
    finishEarly: `Play again from ${goal} to ${start}.`,
    talk: 'How did you know where you would land before you moved?',
    cautions: [smallParts],
    home: `Draw a row of numbers, ${Math.min(start, goal)} to ${Math.max(start, goal)}, use a button as a marker and ${source.kind === 'cards' ? 'slips of paper with the numbers' : device.thing}.`,
  }
}
