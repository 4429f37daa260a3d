/** Notes of visits in which a game was liked, and all notes that said so or the opposite. */
export interface LikingNotes {
  liked: number
  of: number
}

/** A game that nobody has noted counts as two notes, one each way (Laplace's rule of succession). */
const before: LikingNotes = { liked: 1, of: 2 }

/** How much a class likes a game, 0 to 1: few notes move it little. */
export function liking({ liked, of }: LikingNotes): number {
  if (liked < 0 || liked > of) throw new RangeError('More liked it than said so.')
  return (liked + before.liked) / (of + before.of)
}
