export const pick = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)]

/** Things that should not be where something else is expected. */
const odd: unknown[] = [
  null, undefined, true, 0, -1, 1.5, NaN, Infinity, 1e308, '', ' ', 'x', '\u0000', '\ud800', 'a'.repeat(5000), '../../etc/passwd',
  "'; drop table pupil; --", '0000-00-00', '2026-13-45', '-000001-01-01T00:00:00Z', '0000-01-01T00:00:00Z', [], {}, [[]],
  { __proto__: null }, JSON.parse('{"__proto__":1}'), crypto.randomUUID(), Array(2000).fill(0), 'toString', 'constructor',
] // prettier-ignore

/** The input with one or more of its parts replaced, taken away or doubled. */
export function spoilt(value: unknown, chance: number): unknown {
  if (Math.random() < chance) return pick(odd)
  if (Array.isArray(value)) {
    const list = value.map((one) => spoilt(one, chance))
    return Math.random() < chance ? [...list, ...list] : list
  }
  if (typeof value !== 'object' || value === null) return value
  const entries = Object.entries(value)
    .filter(() => Math.random() > chance / 2)
    .map(([key, inner]) => [key, spoilt(inner, chance)])
  return Object.fromEntries(
    Math.random() < chance ? [...entries, [pick(['x', 'constructor']), pick(odd)]] : entries,
  )
}
