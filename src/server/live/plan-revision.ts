/**
 * Says nothing of itself; the same for the same visits, seats, groups and children of the class.
 * @param names of who is in the class now, by child
 */
export function planRevision(
  { slots, slotMinutes, visits }: { slots: number; slotMinutes: number; visits: readonly object[] },
  { groups }: { groups: readonly { id: string; pupils: readonly string[] }[] },
  names: ReadonlyMap<string, string>,
): string {
  const text = JSON.stringify([
    slots,
    slotMinutes,
    visits,
    groups.map(({ id, pupils }) => [id, pupils]),
    [...names],
  ])
  let hash = 2166136261
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619)
  return (hash >>> 0).toString(36)
}
