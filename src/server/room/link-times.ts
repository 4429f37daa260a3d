/** A link is good for so long at the most: no session lasts longer. */
export const linkMs = 12 * 3_600_000
/** After the session's end a helper's device may hand in what it still holds for so long. */
export const lateMs = 2 * 3_600_000
