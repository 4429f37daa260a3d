'use client'

import { useRouter } from 'next/navigation'

/** Another level of the game, on a screen without bars. */
export function LevelChoice({
  level,
  levels,
  at,
}: {
  level: string
  levels: readonly { id: string; title: string }[]
  /** Where the screen is, without the level. */
  at: string
}) {
  const router = useRouter()
  return (
    <label>
      <span className="visually-hidden">Level</span>
      <select value={level} onChange={({ target }) => router.replace(`${at}?level=${target.value}`)}>
        {levels.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </select>
    </label>
  )
}
