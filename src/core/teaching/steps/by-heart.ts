import { step, type StepTeaching } from './step'

/** Facts said at once. By the id of the step; common practice, no source. */
export const byHeartSteps: Record<string, StepTeaching> = {
  'recall-5': step(
    'I know facts to 5 by heart.',
    ['know', 'at once', 'makes'],
    'one hand',
    [
      'Show 2 fingers: how many are down? Say it at once.',
      'Say the sum: two and three makes five.',
      'Turn it round; take one part away.',
      'The same with 4: both parts, no counting.',
    ],
    'Did you count, or did you know it?',
    'Says it before a finger moves.',
    'At the door: I say 3, you say what makes 5.',
  ),
  'recall-10': step(
    'I know facts to 10 by heart.',
    ['know', 'at once', 'fact', 'turn round'],
    'sum cards to 10',
    [
      'Sort the cards: the ones you know, the ones you work out.',
      'Take three to learn. Say each with its turned one.',
      'Say what is left when one part is taken away.',
      'Mix them in again and try.',
    ],
    'Which ones do you know now that you worked out before?',
    'Says it within three seconds, hands still.',
    'Lining up: a fact of 10 for each child.',
  ),
  'recall-20': step(
    'I know facts to 20 by heart.',
    ['know', 'double', 'near double', 'ten'],
    'sum cards to 20',
    [
      'Sort the cards: doubles, one more than a double, with 9 or 10, others.',
      'Say all of one heap, quickly but without a race.',
      'Take two from the others: which fact close by helps?',
      'Say their take-aways.',
    ],
    'Which fact close by helped you?',
    'Says most at once and finds the others from a fact close by.',
    'Tidying: I say a double, you say one more.',
  ),
}
