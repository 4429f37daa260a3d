/**
 * Sizes of the sets in which a group of `children` plays a game, as even as can be and near the
 * game's usual number: five as 2 + 3 for a game of two. Nobody plays alone while others share.
 */
export function splitIntoSets(
  children: number,
  players: { min: number; max: number; typical: number },
): number[] {
  if (children <= 0) return []
  const smallest = Math.max(2, players.min)
  const fewest = Math.ceil(children / players.max)
  const most = Math.max(fewest, Math.floor(children / smallest))
  let sets = fewest
  for (let count = fewest; count <= most; count++)
    if (Math.abs(children / count - players.typical) < Math.abs(children / sets - players.typical))
      sets = count
  const size = Math.floor(children / sets)
  const larger = children % sets
  return Array.from({ length: sets }, (_, set) => (set < sets - larger ? size : size + 1))
}
