/** Children chosen in the table, and the one chosen last: a range begins there. */
export interface Chosen {
  ids: ReadonlySet<string>
  last: string | null
}

export const nobody: Chosen = { ids: new Set(), last: null }

/** One child more or less; with `range` all between it and the last one, as that one was. */
export function choose({ ids, last }: Chosen, order: readonly string[], id: string, range: boolean): Chosen {
  const on = range && last !== null ? ids.has(last) : !ids.has(id)
  const [from, to] = [order.indexOf(last ?? ''), order.indexOf(id)]
  const meant = range && from >= 0 ? order.slice(Math.min(from, to), Math.max(from, to) + 1) : [id]
  const next = new Set(ids)
  for (const one of meant)
    if (on) next.add(one)
    else next.delete(one)
  return { ids: next, last: id }
}

/** All of some children, or none of them if they were all chosen. */
export function chooseAll({ ids, last }: Chosen, all: readonly string[]): Chosen {
  const next = new Set(ids)
  const off = all.every((id) => ids.has(id))
  for (const id of all)
    if (off) next.delete(id)
    else next.add(id)
  return { ids: next, last }
}
