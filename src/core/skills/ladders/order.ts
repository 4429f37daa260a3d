import { between, ladder, rung } from './strand'

/** Comparing numbers and putting them in order. Order of steps: common practice, no source. */
export const order = ladder('order', 'Compare and order', [
  rung(
    'more-5',
    'more or fewer to 5',
    5,
    'Says which of two amounts to 5 is more, or that they are the same.',
    [
      'Sees 4 and 3, says which is more.',
      'Matches them one to one with an adult.',
      'Goes by how far they are spread out.',
    ],
  ),
  rung('more-10', 'more or less to 10', 10, 'Says which of two numbers to 10 is more.', [
    'Says 8 is more than 6 without objects.',
    'Finds both on a number line first.',
    'Goes by the size of the pieces.',
  ]),
  rung('one-more-10', 'one more, one less', 10, 'Says one more and one less than a number to 10.', [
    'For 7 says eight and six.',
    'Counts from one to find it.',
    'Says one more for one less.',
  ]),
  between(
    rung('order-10', 'order to 10', 10, 'Puts numbers to 10 in order.', [
      'Lays 3, 5, 8, 9 in order.',
      'Orders with a number line.',
      'Lays them as they came.',
    ]),
  ),
  rung('order-20', 'order to 20', 20, 'Puts numbers to 20 in order and finds their neighbours.', [
    'Lays 9, 12, 15, 18 in order.',
    'Orders with a number line.',
    'Lays 12 after 20.',
  ]),
  rung('order-100', 'order to 100', 100, 'Puts numbers to 100 in order and finds their neighbours.', [
    'Puts 58 before 85; says 59 comes before 60.',
    'Looks at the ones first, then puts it right.',
    'Orders by the last digit.',
  ]),
  rung('order-120', 'order to 120', 120, 'Orders and finds neighbours over 100, to 120.', [
    'Says 99 and 101 beside 100.',
    'Crosses 100 with a hint.',
    'Says 200 after 109.',
  ]),
  rung('order-1000', 'order to 1000', 1000, 'Orders numbers to 1000.', [
    'Puts 309, 390, 903 in order.',
    'Compares hundreds, then needs help with tens.',
    'Goes by the largest digit.',
  ]),
])
