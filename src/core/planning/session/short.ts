/**
 * Of a game that usually takes less than a third of the minutes there are to play: about how many fit; null: it is not short.
 * @param usualMinutes within which half of its games end
 */
export const gamesThatFit = (usualMinutes: number, playing: number): number | null =>
  usualMinutes * 3 < playing ? Math.max(2, Math.round(playing / usualMinutes)) : null
