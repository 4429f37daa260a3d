// Reminders that several games share. Each closes on screen and paper with the school's own risk assessment.
export const smallParts = 'Small parts: keep counters and dice away from children who mouth objects.'
export const food = 'Food as counters: mind allergies and choking, and do not eat it.'
export const movement =
  'Jumping and hopping: clear floor, shoes on, own pace, a seated version for anyone who wants it.'
export const rope = 'Rope: flat on the floor, never held or tied; step over it, one child at a time.'
export const chalk = 'Chalk on dry ground only, away from traffic; wash hands afterwards.'
export const diceOnTheFloor = 'Roll dice in a tray: a die on the floor is slipped on.'
export const softBall = 'Soft ball only, rolled along the floor; nobody stands behind the pins.'
export const walking = 'Walking, not running; nothing sharp, heavy or breakable on the list.'
export const steps = 'Steps and stairs only with an adult present and a hand on the rail.'
export const timed =
  'Timed tasks worry some children: private, against one’s own best, and never before Year 2.'
export const noRanking = 'Nobody sits out and no child’s slips are called out before the class.'
