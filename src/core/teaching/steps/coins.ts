import { step, type StepTeaching } from './step'

/** Coins and paying. By the id of the step; common practice, no source. */
export const coinSteps: Record<string, StepTeaching> = {
  'like-coins-20': step(
    'I can count coins of one kind.',
    ['coin', 'worth', 'altogether', 'swap'],
    'coins of 1, 2, 5 and 10',
    [
      'Lay a coin of 5; lay five ones beside it. Are they worth the same?',
      'Lay three fives in a row; tap and count in fives.',
      'The same with twos, then with tens.',
      'Which is worth more: four twos or two fives?',
    ],
    'How many coins are there? How much are they worth?',
    'Counts in the steps of the coin, not in ones.',
    'Clap a coin: two fingers for a 2, a hand for a 5. What did I clap?',
  ),
  'pay-10': step(
    'I can pay a price to 10.',
    ['price', 'pay', 'exactly', 'coin'],
    'coins of 1, 2 and 5, price labels to 10',
    [
      'Turn a price. Pay it with ones only.',
      'Swap ones for a 2 or a 5 where you can.',
      'Pay the same price with fewer coins.',
      'Is there another way? Keep both.',
    ],
    'Is that exactly the price? Could you use fewer coins?',
    'Starts with the largest coin that fits.',
    'I paid with two coins. What may it have cost?',
  ),
  'coins-50': step(
    'I can say what mixed coins are worth.',
    ['worth', 'altogether', 'largest first', 'pay'],
    'coins of 1, 2, 5, 10 and 20, a purse',
    [
      'Take four coins from the purse without looking.',
      'Put them in order, the largest first.',
      'Add them one by one and say each total.',
      'Pay 27 with the fewest coins.',
    ],
    'Which coin do you start with? Why?',
    'Puts them in order before adding.',
    'One 20 and one 5: how much? And one 2 more?',
  ),
  'change-20': step(
    'I can say what comes back from 10 or 20.',
    ['price', 'paid', 'change', 'come back'],
    'coins, price labels to 19',
    [
      'Price 7, paid with 10: count up from 7 with ones into the hand.',
      'Say it: seven, and three makes ten.',
      'Play shop: one sells, one pays with 10.',
      'Now pay with 20 for prices above 10.',
    ],
    'How far is it from the price to what was paid?',
    'Counts up from the price and does not count the price itself.',
    'I pay with 10. It costs 6. What comes back? And if it costs 4?',
  ),
}
