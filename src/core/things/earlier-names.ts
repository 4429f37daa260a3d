/** What things were called before: what was counted under an earlier name is counted under the one of today. */
const earlierNames: ReadonlyMap<string, string> = new Map([
  ['one of the base-ten pieces', 'base-ten one'],
  ['ten of the base-ten pieces', 'base-ten ten'],
  ['set of dominoes', 'set of dominoes to double 6'],
  ['sand timer', 'timer'],
])

/** The name of today for a name that stands in an older document. */
export const nameToday = (name: string): string => earlierNames.get(name) ?? name
