import { smallParts } from '../../engine/cautions'
import type { ChildStep } from '../../engine/texts'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './shut-chest'

export const shutChestTexts = (params: Params): LevelTexts => {
  const { form, first, second, record, goes } = params
  const [thing, hidden, loose] = {
    'two-spinners': [
      `two spinners (1 to ${first} and 1 to ${second})`,
      `Spin 1 to ${first}: count that many into the chest together`,
      `Spin 1 to ${second}: put that many beside it`,
    ],
    'die-and-picture': [
      `a die, finger cards 1 to ${second}`,
      'Roll the die: count that many into the chest together',
      'Turn a finger card: put that many beside it',
    ],
    'chest-card-and-die': [
      `chest cards 1 to ${first}, a die`,
      'Turn a chest card: so many are in the chest',
      'Roll the die: put that many beside it',
    ],
  }[form]
  const act: ChildStep =
    form === 'two-spinners'
      ? ['spin', 'Spin for the chest.']
      : form === 'die-and-picture'
        ? ['roll', 'Roll for the chest.']
        : ['turn', 'Turn a chest card.']
  return {
    setUp: `A chest with a lid, counters, ${thing}${record ? ', a sheet and a pencil each' : ''}.`,
    start: 'The chest is empty and open.',
    end: `Done after ${goes} goes, or when the time is up.`,
    steps: [
      act,
      ['place', form === 'chest-card-and-die' ? 'The lid stays shut.' : 'Count them in. Shut the lid.'],
      [
        form === 'die-and-picture' ? 'turn' : form === 'two-spinners' ? 'spin' : 'roll',
        form === 'die-and-picture'
          ? 'Turn a card. Lay that many beside it.'
          : form === 'two-spinners'
            ? 'Spin again. Lay that many beside it.'
            : 'Roll. Lay that many beside it.',
      ],
      ['count', 'Tap the lid. Count on.'],
      record ? ['write', 'Write the sum.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      `${hidden}${form === 'chest-card-and-die' ? '' : ' as all count'}; the lid stays shut.`,
      `${loose}.`,
      `Tap the lid and say its number, then count on over the loose ones: “${first > 5 ? 'six; seven, eight' : first > 3 ? 'four; five, six' : 'three; four, five'}”.`,
      ...(record ? ['Write the first number, what was added, and the total.'] : []),
      'Unsure? Open the lid and check. Pass it on.',
    ],
    lookFors: [
      first > 10
        ? 'Crosses ten or twenty without starting again?'
        : 'Begins with the chest’s number, not with one?',
      'Says the next number on the first loose one?',
      'Says the total without counting?',
    ],
    misconceptions: [
      {
        seen: 'Wants to open the chest to count.',
        ask: 'How many did we put in? Has that changed?',
        move: 'starts-from-one',
      },
      {
        seen: 'Says the chest’s number on the first loose one.',
        ask: `The chest is ${first > 5 ? 'six' : first > 3 ? 'four' : 'three'}. This one is …?`,
        move: 'counted-own',
      },
    ],
    iCan: 'I can count on from a number I cannot see.',
    words: ['count on', 'altogether', 'hidden', 'and … more'],
    easier: 'Write the chest’s number on a sticky note on the lid.',
    harder: 'Say the total before you touch the loose ones.',
    stuck: 'Tap the lid and whisper its number. What comes next?',
    finishEarly: first >= 9 ? 'Which two numbers could make ten?' : 'Which two numbers could make five?',
    talk: 'Why do we not need to open the chest?',
    cautions: [smallParts],
    home: 'Put spoons under a cloth and a few beside it.',
  }
}
