/** Minutes of an hour that are told by the five, not by the quarter. */
const fives = [5, 10, 20, 25, 35, 40, 50, 55]

/**
 * The times on a set of time cards, in minutes after twelve. By five minutes there are two to an hour, each kind of
 * time three times: nobody cuts out 144 cards.
 * @param every minutes between the times
 */
export function timesOnCards(every: 60 | 30 | 15 | 5): number[] {
  if (every === 5)
    return Array.from({ length: 24 }, (_, card) => {
      const hour = Math.floor(card / 2)
      // The first of an hour lies before the half hour, the second after it.
      return 60 * hour + fives[(card % 2) * 4 + (hour % 4)]
    })
  return Array.from({ length: 720 / every }, (_, card) => card * every)
}
