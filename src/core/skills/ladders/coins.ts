import { ladder, rung } from './strand'

/** What coins are worth, paying, change. Order: common practice, no source. */
export const coins = ladder('coins', 'Coins', [
  rung('like-coins-20', 'coins of one kind', 20, 'Says what coins of one kind come to, to 20.', [
    'Three fives: “five, ten, fifteen”.',
    'Counts in fives once somebody begins.',
    'Counts the coins and says “three”.',
  ]),
  rung('pay-10', 'pay to 10', 10, 'Pays a price to 10 exactly with coins of 1, 2 and 5.', [
    'Pays 8 with 5, 2 and 1.',
    'Pays all in ones, and swaps when asked for fewer coins.',
    'Puts down eight coins of any kind.',
  ]),
  rung('coins-50', 'mixed coins', 50, 'Says what mixed coins come to and pays with them, to 50.', [
    'Puts 20, 5 and 2 in order and says “twenty-seven”.',
    'Adds them once they are put in order.',
    'Counts the coins, or adds the first two only.',
  ]),
  rung('change-20', 'change', 20, 'Says what comes back from 10 or 20.', [
    'Price 7, paid with 10: “three come back”.',
    'Counts up from the price once somebody begins.',
    'Says the price again, or gives everything back.',
  ]),
])
