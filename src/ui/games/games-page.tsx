import Link from 'next/link'
import type { GameRow } from '@/server/games'
import { LengthStrip } from '../charts/length-strip'
import { GamesFilter } from './games-filter'

interface Props {
  classId: string
  rows: GameRow[]
  groups: number[]
  group: number | null
  slotMinutes: number
  needs: 'any' | 'no-dice'
}

/** Every game with its length against the slot, those that fit first. */
export function GamesPage({ classId, rows, groups, group, slotMinutes, needs }: Props) {
  const sorted = [...rows].sort((a, b) => Number(b.fits) - Number(a.fits))
  const fitting = rows.filter(({ fits }) => fits).length
  return (
    <>
      <div className="headline">
        <div>
          <h1>
            {fitting} of {rows.length} games fit
          </h1>
          <GamesFilter group={group} groups={groups} slotMinutes={slotMinutes} needs={needs} />
        </div>
      </div>
      <ul className="rows games-list">
        {sorted.map((row) => (
          <li key={row.id} className={row.fits ? undefined : 'unfit'}>
            <div className="grow">
              <Link
                className="game-link"
                href={`/c/${classId}/games/${row.id}?level=${row.levelId}&slot=${slotMinutes}&players=${row.setOf}`}
              >
                {row.title}
              </Link>
              <div className="small muted">{row.summary}</div>
            </div>
            <div className="game-level small">
              {row.level}
              {row.fitting && (
                <div className="muted">
                  {row.fitting.inZone} of {row.fitting.of} in their zone
                </div>
              )}
            </div>
            <div className="game-players small">
              {row.players.min} to {row.players.max}
              <div className="muted">here {row.setOf}</div>
            </div>
            <LengthStrip minutes={row.minutes} slotMinutes={slotMinutes} />
            <div className="game-needs small">{row.needs.join(', ')}</div>
            <Link
              className="btn btn-quiet btn-sm"
              href={`/c/${classId}/plan?add=${row.id}`}
              aria-label={`Put in plan: ${row.title}`}
            >
              Put in plan
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}
