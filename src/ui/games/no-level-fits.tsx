import type { NoLevel } from '@/server/games/game'

/** A few names, and how many more there are. */
export const someOf = (names: readonly string[]): string =>
  names.length > 4 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', ')

/** Whom no level of a game fits, and why: they are not put at the level that would be least wrong. */
export function NoLevelFits({ tooHard, tooEasy, between }: NoLevel) {
  const reasons = [
    ['Too hard', tooHard],
    ['Too easy', tooEasy],
    ['Between two levels', between],
  ] as const
  const told = reasons.filter(([, names]) => names.length > 0)
  if (told.length === 0) return null
  return (
    <section className="no-level" aria-label="No level fits">
      <h2>No level fits</h2>
      <dl>
        {told.map(([why, names]) => (
          <div key={why}>
            <dt>{why}</dt>
            <dd>{someOf(names)}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
