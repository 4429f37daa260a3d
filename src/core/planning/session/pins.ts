/** Cells to be kept while the rest is planned, as the planner wants them. */
export const pinsFrom = (cells: readonly { slot: number; groupId: string; stationId: string }[]) =>
  cells.map(({ slot, groupId, stationId }) => ({ session: 0, slot, group: groupId, station: stationId }))
