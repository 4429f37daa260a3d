import type { SlipReason } from '../skills'

/** Three minutes of teaching for one thing that goes astray. */
export interface TeachingMove {
  title: string
  need: string
  /** What to do, in order. */
  do: readonly string[]
  say: string
  /** How the adult knows that it has worked. */
  worked: string
}

/** Things that go astray and leave no wrong number behind, or one that tells nothing. */
type OtherMove =
  | 'starts-from-one'
  | 'runs-past'
  | 'counts-twice'
  | 'counts-again'
  | 'zero'
  | 'chance'
  | 'no-memory'
  | 'other-ways'
  | 'same-total'
  | 'turn-round'
  | 'ten-is-one-ten'
  | 'change-from-ten'
  | 'size-not-number'
  | 'as-they-came'
  | 'tens-first'
  | 'fives-first'
  | 'half-past'
  | 'even-spaces'
  | 'halve-what-is-left'
  | 'one-for-one'
  | 'writes-parts'
  | 'run-of-neighbours'
  | 'no-wrap'
  | 'double-it'
  | 'know-or-work-out'
  | 'prove-it'
  | 'part-that-repeats'
  | 'find-the-numeral'
  | 'counts-things'
  | 'over-the-ten'
  | 'both-parts'
  | 'groups-not-sum'

export type MoveId = SlipReason | OtherMove

/** Common practice, no source; each is meant for the carpet edge or the table, with what lies there. */
export const teachingMoves: Record<MoveId, TeachingMove> = {
  'counted-own': {
    title: 'The square I stand on is done',
    need: 'the track, a sticky note, a marker',
    do: [
      'Put the sticky note on the square the marker stands on.',
      'Hop one square with a finger and stop.',
      'Three goes with the note, then three without.',
    ],
    say: 'This one is done. One hop: where am I?',
    worked: 'Without the note the finger goes to the next square first.',
  },
  'one-too-many': {
    title: 'Stop on the number',
    need: 'counters, two cups',
    do: [
      'Say the number to stop at, and write it down.',
      'Move a counter into the cup for each word.',
      'Stop when the word is the written number; tip out and check.',
    ],
    say: 'Which word is the last one? Say it and stop your hand.',
    worked: 'Hand and voice stop together, three times running.',
  },
  'one-missed': {
    title: 'Touch, move, say',
    need: 'counters in a muddle',
    do: [
      'Draw a line down the table.',
      'Each counter crosses the line as its word is said.',
      'Check by fives.',
    ],
    say: 'Nothing left on this side? Then we have them all.',
    worked: 'The child draws its own line, or counts in a row, unasked.',
  },
  added: {
    title: 'The whole is there already',
    need: 'a strip of squares as long as the whole, counters',
    do: [
      'Lay the strip: this is the whole.',
      'Cover the part that is known.',
      'Ask which squares are still bare, before anything is counted.',
    ],
    say: 'Is the strip getting longer? Then what are we looking for?',
    worked: 'The child points at the bare part before it says a number.',
  },
  'took-away': {
    title: 'More or fewer at the end?',
    need: 'counters',
    do: [
      'Read the sentence; thumbs up for more at the end, down for fewer.',
      'Act it with counters.',
      'Compare with the thumb.',
    ],
    say: 'Before you work it out: will there be more, or fewer?',
    worked: 'The thumb is right on four mixed sentences.',
  },
  'forgot-the-ten': {
    title: 'A full frame is a ten',
    need: 'a double ten frame, counters in two colours',
    do: [
      'Build both numbers on the frames.',
      'Move counters until one frame is full.',
      'Say the ten, then what is beside it.',
    ],
    say: 'One frame is full. What is that called? And the rest?',
    worked: 'The child says “ten and …” before the total.',
  },
  'kept-the-ten': {
    title: 'Break the ten',
    need: 'a ten rod, ten ones, a mat',
    do: [
      'Lay the number on the mat.',
      'Try to take the ones away; swap the rod for ten ones when they run out.',
      'Say how many rods are left.',
    ],
    say: 'Did we use a ten? How many tens are there now?',
    worked: 'The child moves the rod away before it counts the ones.',
  },
  'smaller-from-larger': {
    title: 'Which one are we taking away?',
    need: 'rods and ones',
    do: [
      'Build only the first number: the second is what we take.',
      'Try to take the ones. There are too few: what now?',
      'Swap a ten and go on.',
    ],
    say: 'Show me what there is. Show me what goes. Can it go?',
    worked: 'For 15 − 8 the child swaps or counts back; it does not say 13.',
  },
  'ones-as-tens': {
    title: 'What is this digit worth?',
    need: 'rods and ones, number cards',
    do: [
      'Lay the card; build it under its digits.',
      'Add what was added, on the side where it belongs.',
      'Say the number again.',
    ],
    say: 'Is that three ones or three tens? Where do they go?',
    worked: 'Adding 3 to 42 changes the ones and leaves the rods alone.',
  },
  'digits-turned': {
    title: 'Tens stand on the left',
    need: 'rods and ones, digit cards',
    do: [
      'Build thirteen and thirty-one side by side.',
      'Lay digit cards under each.',
      'Swap the cards: what is it now?',
    ],
    say: 'Which has more? Which digit says so?',
    worked: 'The child builds a two-digit number from its digits without help.',
  },
  'looks-alike': {
    title: 'Six and nine, two and five',
    need: 'numeral cards with a line under them, a tray of sand or a finger on the table',
    do: [
      'Trace both with a finger from the starting dot.',
      'Say where each one begins.',
      'Sort mixed cards in two piles.',
    ],
    say: 'Where is the line? Which way up is it?',
    worked: 'Eight mixed cards are sorted without a slip.',
  },
  'teen-or-ty': {
    title: 'Thirteen or thirty?',
    need: 'rods and ones',
    do: [
      'Say a number; the child builds it.',
      'Say its partner: “-teen”, then “-ty”.',
      'The child says, you build, with slips to catch.',
    ],
    say: 'Listen to the end. One ten and three, or three tens?',
    worked: 'Six spoken numbers are built as they were said.',
  },
  'other-way': {
    title: 'Which way is less?',
    need: 'a number line, a marker',
    do: [
      'Stand the marker on a number.',
      'Show with an arm which way is more, which is less.',
      'Move one, and say it.',
    ],
    say: 'Less: is that nearer to zero, or further away?',
    worked: 'The arm points the right way before the number is said.',
  },
  'by-ones': {
    title: 'One rod at a time',
    need: 'rods, or pairs of shoes for twos, hands for fives',
    do: [
      'Lay one thing at a time.',
      'Say the number so far, in a whisper the ones between.',
      'Then without the whisper.',
    ],
    say: 'How many came? How many are there now?',
    worked: 'The next multiple comes without a whisper.',
  },
  'one-group-less': {
    title: 'Count the groups',
    need: 'plates and counters',
    do: [
      'Lay the plates first and count them.',
      'Fill each alike.',
      'Count in steps, touching a plate for each.',
    ],
    say: 'How many plates? How many have you counted?',
    worked: 'The child touches every plate once and stops.',
  },
  'one-group-more': {
    title: 'Stop at the last plate',
    need: 'plates and counters',
    do: [
      'Lay the plates in a row with a stop card after the last.',
      'Count in steps to the stop card.',
      'Take the card away.',
    ],
    say: 'Which plate is the last? What do we say there?',
    worked: 'The count ends on the last plate without the card.',
  },
  'chose-the-other': {
    title: 'Match one to one',
    need: 'cubes in two colours',
    do: ['Build both numbers as towers.', 'Stand them side by side.', 'Touch the part that has no partner.'],
    say: 'Which tower goes on? Which has more? Which has fewer?',
    worked: 'The child says more and fewer of the right tower, four times.',
  },
  'named-the-whole': {
    title: 'Part, part, whole',
    need: 'a sheet with one large and two small circles, counters',
    do: [
      'Put all in the large circle.',
      'Move some into a small one: that part is known.',
      'Move the rest: how many?',
    ],
    say: 'Which circle is the whole? Which one are we asked for?',
    worked: 'The child puts its finger on the part that is asked for.',
  },
  'next-hour': {
    title: 'On its way to the next hour',
    need: 'a clock whose hands turn together',
    do: [
      'Set four o’clock.',
      'Turn slowly; stop at half past.',
      'Ask which hour it has left, and which comes.',
    ],
    say: 'Has it got to five yet? Then which hour are we still in?',
    worked: 'Half past four is read as four, with the hand between.',
  },
  'hands-swapped': {
    title: 'Short says the hour',
    need: 'a clock',
    do: [
      'Cover the long hand; read the short one.',
      'Cover the short hand; read the long one.',
      'Read both.',
    ],
    say: 'Which hand moved far while we waited? That one tells minutes.',
    worked: 'The child points at the short hand first.',
  },
  'unit-too-long': {
    title: 'Cut the pattern',
    need: 'a chain of cubes',
    do: [
      'Say the colours in a chant.',
      'Break the chain where it starts again.',
      'Lay the pieces on top of each other.',
    ],
    say: 'Are the pieces the same? Could you cut it smaller?',
    worked: 'All the pieces are the same and cannot be cut alike again.',
  },
  'unit-too-short': {
    title: 'Does it come again?',
    need: 'a chain of cubes',
    do: [
      'Break off the part the child named.',
      'Hold it against the next part.',
      'Make it longer until it fits.',
    ],
    say: 'Does this piece fit all along?',
    worked: 'The part, laid along the chain, fits every time.',
  },
  'starts-from-one': {
    title: 'It is shut in the cup',
    need: 'counters, a cup',
    do: [
      'Count some into the cup and turn it over.',
      'Write how many on a sticky note on top.',
      'Lay more beside it; tap the cup, then touch each.',
    ],
    say: 'The cup says six. What do we say for the next one?',
    worked: 'The child taps the cup once and goes on from its number.',
  },
  'runs-past': {
    title: 'Stop on the number',
    need: 'counters, two cups',
    do: [
      'Say the number to stop at twice.',
      'One counter for each word.',
      'A partner says “stop” at the number; then without the partner.',
    ],
    say: 'How many do you want? What will the last word be?',
    worked: 'Hand and voice stop at the number, three times running.',
  },
  'counts-twice': {
    title: 'Where did I start?',
    need: 'counters in a ring',
    do: [
      'Mark one counter: start here.',
      'Touch round to the mark.',
      'Then push each away as it is counted.',
    ],
    say: 'How will you know that you have had them all?',
    worked: 'The child marks a start, or moves each one.',
  },
  'counts-again': {
    title: 'The last word tells how many',
    need: 'counters, a hand',
    do: [
      'Count together; close a hand round the set at the last word.',
      'Ask how many are in the hand.',
      'Open and check once.',
    ],
    say: 'You said six last. So how many are in my hand?',
    worked: 'The child answers without counting again.',
  },
  zero: {
    title: 'None is a number',
    need: 'a cup, counters, a zero card',
    do: [
      'Count three out of the cup, then two, one.',
      'The next cup holds none: lay the zero card.',
      'Act “three and none” and “three take away none”.',
    ],
    say: 'How many are in here? What changed?',
    worked: 'Zero is met with no move and no counter, and the child says why.',
  },
  chance: {
    title: 'How many ways?',
    need: 'two dice of different colours, paper',
    do: [
      'Find every way to make 7; write each down.',
      'Find every way to make 12.',
      'Roll twenty times and mark what came.',
    ],
    say: 'Why does this one come more often?',
    worked: 'The child names a number that comes often and says why.',
  },
  'no-memory': {
    title: 'Does it remember?',
    need: 'the spinner or die',
    do: [
      'Predict; use it; write both down, ten times.',
      'Look for a rule together.',
      'Shake hard, or whisper to it: does that help?',
    ],
    say: 'What does it know about last time?',
    worked: 'The child says that each go is as likely as before.',
  },
  'other-ways': {
    title: 'Another way to make it',
    need: 'cubes in two colours',
    do: [
      'Build the number in one colour.',
      'Swap some for the other colour: say both parts.',
      'Find two ways more.',
    ],
    say: 'What else makes it?',
    worked: 'Three ways come without a prompt.',
  },
  'same-total': {
    title: 'Different sums, one total',
    need: 'ten frames, counters in two colours',
    do: [
      'Build both sums on frames.',
      'Lay one frame on the other.',
      'Move one counter over: still the same?',
    ],
    say: 'What is the same? What is different?',
    worked: 'The child names another sum with that total.',
  },
  'turn-round': {
    title: 'Turn it round',
    need: 'a rod of cubes in two colours',
    do: ['Read the rod: 5 and 3.', 'Turn it end to end: read it again.', 'Write both sentences.'],
    say: 'Did any cube come or go?',
    worked: 'The second sentence comes without working out.',
  },
  'ten-is-one-ten': {
    title: 'Ten ones make one ten',
    need: 'ones, ten rods',
    do: ['Lay ones along a rod until they fit.', 'Count them; swap.', 'Say the number before and after.'],
    say: 'Has it become more? What has changed?',
    worked: 'Ten and only ten are swapped, and the number stays the same.',
  },
  'change-from-ten': {
    title: 'Change from a ten',
    need: 'ones, ten rods',
    do: [
      'Pay 7 with a ten: lay the ten down.',
      'Swap it for ten ones; pay seven.',
      'Look at what comes back.',
    ],
    say: 'You gave ten. It costs seven. Is that fair?',
    worked: 'The child asks for the change, and says how much.',
  },
  'size-not-number': {
    title: 'Big things, small things',
    need: 'three large and five small things',
    do: ['Guess which has more.', 'Pair them off.', 'Spread the five out, push them together: pair again.'],
    say: 'Does it matter how big they are?',
    worked: 'The child pairs or counts before it says more.',
  },
  'as-they-came': {
    title: 'Bigger all the way?',
    need: 'five number cards, a line',
    do: ['Read the row from the left.', 'Stop where it gets smaller.', 'Move that card; read again.'],
    say: 'Does it get bigger every time?',
    worked: 'The child reads its own row and moves a card unasked.',
  },
  'tens-first': {
    title: 'Look at the tens first',
    need: 'rods and ones, two number cards',
    do: ['Build both numbers.', 'Cover the ones: which has more now?', 'Uncover: does that change it?'],
    say: 'How many tens has each? Do we need the ones?',
    worked: 'The child compares the tens before it looks at the ones.',
  },
  'fives-first': {
    title: 'The top row is five',
    need: 'a ten frame, counters',
    do: [
      'Fill the top row: five.',
      'Add one at a time and say “five and one, six”.',
      'Flash it for two seconds and ask.',
    ],
    say: 'How do you know without counting?',
    worked: 'The child says “five and …” of a full row and some.',
  },
  'half-past': {
    title: 'Where is the short hand at half past?',
    need: 'a clock whose hands turn together',
    do: [
      'Set the hour; watch the short hand.',
      'Turn half way round: where is it?',
      'Set three half pasts together.',
    ],
    say: 'Has the short hand stood still?',
    worked: 'The short hand is set between two numbers.',
  },
  'even-spaces': {
    title: 'Find the middle first',
    need: 'a strip of paper, a pencil',
    do: [
      'Fold the strip: write the middle number.',
      'Fold again for the quarters.',
      'Point to a number by its nearest fold.',
    ],
    say: 'Which mark is it near? On which side?',
    worked: 'The child starts from the middle or an end, not from one.',
  },
  'halve-what-is-left': {
    title: 'Make half of them go',
    need: 'number cards in a row',
    do: [
      'Think of a card; answer one question.',
      'Turn over what it cannot be; count what is left.',
      'Try a question in the middle.',
    ],
    say: 'If the answer is no, how many are left?',
    worked: 'A question leaves about half, whatever the answer.',
  },
  'one-for-one': {
    title: 'One word, one move',
    need: 'nothing, or a drum',
    do: [
      'One tap, one move, one word.',
      'Slow, then quicker, stopping at the number.',
      'Eyes shut: count your partner’s moves.',
    ],
    say: 'Say the number as your feet land.',
    worked: 'Word and move come together up to the number.',
  },
  'writes-parts': {
    title: 'One number for all of them',
    need: 'dots, a sheet with two small boxes and a large one',
    do: [
      'Write each part in a small box.',
      'Push the dots together; count.',
      'Write the whole in the large box.',
    ],
    say: 'Is twenty-three right for two and three?',
    worked: 'The whole is written as one number, and is not the parts side by side.',
  },
  'run-of-neighbours': {
    title: 'Stairs without a gap',
    need: 'cubes',
    do: [
      'Build each number as a tower.',
      'Stand them as stairs.',
      'Find the missing stair, and the one too many.',
    ],
    say: 'Which tower is missing between these two?',
    worked: 'The child names the number that joins the run.',
  },
  'no-wrap': {
    title: 'Where does the row go on?',
    need: 'a hundred grid',
    do: [
      'Read along a row to its end.',
      'Find the next number: where is it?',
      'Go one down from 34: how much more?',
    ],
    say: 'What comes after 40? Where is it?',
    worked: 'The child steps down for ten and finds the start of the next row for one.',
  },
  'double-it': {
    title: 'The same again',
    need: 'cubes, a mirror if there is one',
    do: ['Build the number.', 'Build it again beside it, or hold the mirror.', 'Say “four and four”.'],
    say: 'How many are there now? How many times is the number there?',
    worked: 'The child says the number twice before the double.',
  },
  'know-or-work-out': {
    title: 'A fact close by',
    need: 'fact cards in two piles: know, nearly know',
    do: [
      'Take one of the second pile.',
      'Find one of the first pile that is near it.',
      'Say how to get from one to the other.',
    ],
    say: 'Which one do you know for sure that could help?',
    worked: 'A fact is worked out from another, not from one.',
  },
  'prove-it': {
    title: 'Show that it can’t be',
    need: 'counters or a number line',
    do: ['Build what the statement says.', 'Look where it breaks.', 'Change one number so that it holds.'],
    say: 'How would you show somebody who does not believe you?',
    worked: 'The reason names the numbers.',
  },
  'part-that-repeats': {
    title: 'Say it, clap it',
    need: 'the chain',
    do: ['Read the colours aloud.', 'Clap on the first of each part.', 'Go on for two whole parts.'],
    say: 'Does it sound the same all along?',
    worked: 'The child mends a slip when it hears it.',
  },
  'find-the-numeral': {
    title: 'Say it, find it',
    need: 'numeral cards, the board',
    do: [
      'Say the number; hold up the card.',
      'Lay it on its space.',
      'Cover, and find the space by the numbers beside it.',
    ],
    say: 'Which numbers is it between?',
    worked: 'The finger goes to the space without counting from one.',
  },
  'both-parts': {
    title: 'Both make the whole',
    need: 'a cup, counters',
    do: [
      'Show two heaps; push them together: that is the whole.',
      'Cover one heap; ask for the whole, not for the heap in sight.',
      'Write the whole, then both heaps under it.',
    ],
    say: 'Is that all of them? What else belongs to it?',
    worked: 'The child says the whole before a part, three times.',
  },
  'counts-things': {
    title: 'What is one worth?',
    need: 'rods, hands or pairs',
    do: [
      'Show one: how many is that?',
      'Show two: say the number, not the things.',
      'Mix: ask for things, then for how many in all.',
    ],
    say: 'How many rods? How many altogether?',
    worked: 'The child gives both numbers and does not mix them.',
  },
  'over-the-ten': {
    title: 'Nine, and a new ten',
    need: 'a hundred grid, a marker',
    do: [
      'Stand the marker on a number that ends in nine.',
      'Say the tens alone down the side: which ten is next?',
      'Step over the end of the row and back, three times, in three places.',
    ],
    say: 'After nine comes a new ten. Which ten comes now?',
    worked: 'The next ten comes without the grid, on the way on and on the way back.',
  },
  'groups-not-sum': {
    title: 'How many groups, how many in each',
    need: 'counters, rings of string',
    do: [
      'Lay three rings; point at each: “one group, two groups, three groups”.',
      'Put four counters in every ring; point inside: “four in each”.',
      'Count in fours, a ring at a time. Then lay 4 rings of 3: the same number?',
    ],
    say: 'Which number tells the groups? Which tells how many are in each?',
    worked: 'Says what each number counts before working it out.',
  },
  'unequal-shares': {
    title: 'One for you, one for you',
    need: 'counters, plates',
    do: [
      'Give one counter to every plate, then one more to every plate.',
      'Stop after each round: has every plate the same?',
      'Go on until none are left; line the shares up side by side.',
    ],
    say: 'Is it fair? How can you see it?',
    worked: 'Deals in rounds and checks the shares against each other.',
  },
  'halved-once': {
    title: 'Half, and half again',
    need: 'a strip of paper, counters',
    do: [
      'Fold the strip once: two parts, each a half.',
      'Fold it again and open it: four parts, each a quarter.',
      'Lay counters on the four parts, the same on each; count one part.',
    ],
    say: 'How many equal parts now? What is one of them called?',
    worked: 'Makes four shares for a quarter, two for a half, without a reminder.',
  },
  'not-paired': {
    title: 'Find everyone a partner',
    need: 'counters, paper with two columns',
    do: [
      'Lay the counters two by two, one in each column.',
      'Is one left without a partner? Then it is odd.',
      'One more counter: what is it now? Three numbers in a row.',
    ],
    say: 'Has everyone a partner? So what do we call that number?',
    worked: 'Pairs the counters, then says it, and knows that the next one changes it.',
  },
  'counted-coins': {
    title: 'What is it worth?',
    need: 'a coin of 5, five ones, a coin of 2',
    do: [
      'Lay the five ones in a row and the 5 below them: worth the same.',
      'Tap the 5 five times: “one, two, three, four, five”.',
      'Now two fives: tap each five times, then once each: “five, ten”.',
    ],
    say: 'How many coins? How much are they worth?',
    worked: 'Says two numbers: how many coins, and what they are worth.',
  },
  'left-one-coin': {
    title: 'Slide it across',
    need: 'four mixed coins, a line on paper',
    do: [
      'Put the coins in order, the largest first.',
      'Slide one across the line, say the total, then the next.',
      'Stop when none is left on this side.',
    ],
    say: 'Which coins have you counted? Are any left?',
    worked: 'Moves each coin as it is counted and ends with none left.',
  },
  'all-in-ones': {
    title: 'Swap for a larger coin',
    need: 'ten ones, coins of 2 and 5',
    do: [
      'Pay 8 with ones.',
      'Take five of them and swap them for a 5; still 8?',
      'Swap two more for a 2. Count the coins.',
    ],
    say: 'Which is the largest coin that fits? What is still to pay?',
    worked: 'Begins with the largest coin that fits into the price.',
  },
  'said-the-price': {
    title: 'From the price to what was paid',
    need: 'a number line to 20, a marker, coins',
    do: [
      'Put the marker on the price.',
      'Hop to what was paid; count the hops.',
      'Lay as many ones as there were hops: that comes back.',
    ],
    say: 'What did it cost? What did you give? How far apart are they?',
    worked: 'Says the hops, not the price, and checks that both make what was paid.',
  },
}

export const moveOf = (id: MoveId): TeachingMove => teachingMoves[id]
