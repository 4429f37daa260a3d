/** The stops of the weekly loop, in the order in which a teacher comes to them, with the key after `g`. */
export const places = [
  { part: '', title: 'Harbour', key: 'h' },
  { part: 'class', title: 'Class', key: 'c' },
  { part: 'groups', title: 'Groups', key: 'g' },
  { part: 'games', title: 'Games', key: 'a' },
  { part: 'plan', title: 'Plan', key: 'p' },
  { part: 'run', title: 'Run', key: 'r' },
  { part: 'progress', title: 'Progress', key: 'o' },
] as const

/** What stands beside the loop. */
export const besides = [
  { part: 'print', title: 'Print', key: 'i' },
  { part: 'settings', title: 'Settings', key: 's' },
] as const

/** Every place a key leads to: the loop, and what stands beside it. */
export const placesWithKeys = [...places, ...besides] as const
