'use client'

import Link from 'next/link'
import type { GameRow, GamesFilter as Filter, Instead } from '@/server/games/list'
import { LengthStrip } from '../charts/length-strip'
import { paceInWords, zoneInShort } from '../words'
import { againstInWords, whyNone } from './against'
import { GamesFilter } from './games-filter'

interface Props {
  classId: string
  rows: GameRow[]
  /** Where nothing fits: wishes that would bring games, given up. */
  instead: Instead[]
  groups: number[]
  filter: Filter
  pace: { factor: number; games: number }
}

/** Every game with its length against the slot: a few to begin with, then those that fit, then the rest. */
export function GamesPage({ classId, rows, instead, groups, filter, pace }: Props) {
  const fitting = rows.filter(({ against }) => against.length === 0)
  const starters = fitting.filter(({ starter }) => starter)
  const more = fitting.filter(({ starter }) => !starter)
  const others = rows.filter(({ against }) => against.length > 0)
  return (
    <>
      <div className="headline">
        <div>
          <h1>
            {fitting.length} of {rows.length} games fit
          </h1>
          <GamesFilter filter={filter} groups={groups} />
          {fitting.length === 0 && <p>{whyNone(instead)}</p>}
          {paceInWords(pace) && <p className="small muted">{paceInWords(pace)}</p>}
        </div>
      </div>
      <Section title="To begin with" rows={starters} classId={classId} filter={filter} />
      <Section
        title={starters.length > 0 ? 'More that fit' : 'These fit'}
        rows={more}
        classId={classId}
        filter={filter}
      />
      <Section title="These do not fit now" rows={others} classId={classId} filter={filter} unfit />
    </>
  )
}

function Section({
  title,
  rows,
  classId,
  filter,
  unfit = false,
}: {
  title: string
  rows: GameRow[]
  classId: string
  filter: Filter
  unfit?: boolean
}) {
  if (rows.length === 0) return null
  return (
    <section aria-label={title}>
      <h2 className="section games-section">
        {title} <small>{rows.length}</small>
      </h2>
      <ul className={unfit ? 'rows games-list unfit' : 'rows games-list'}>
        {rows.map((row) => (
          <Row key={row.id} row={row} classId={classId} filter={filter} />
        ))}
      </ul>
    </section>
  )
}

function Row({ row, classId, filter }: { row: GameRow; classId: string; filter: Filter }) {
  const { slotMinutes } = filter
  return (
    <li>
      {/* eslint-disable-next-line @next/next/no-img-element -- a drawing, not a photograph to be scaled */}
      <img className="game-picture" src={`/pictures/${row.id}/${row.levelId}`} alt="" loading="lazy" />
      <div className="grow">
        <Link
          className="game-link"
          href={`/c/${classId}/games/${row.id}?level=${row.levelId}&slot=${slotMinutes}&players=${row.setOf}`}
          prefetch={false}
        >
          {row.title}
        </Link>
        <div className="small muted">{row.summary}</div>
        {row.against.length > 0 && <div className="small">{againstInWords(row, filter)}</div>}
      </div>
      <div className="game-level small">
        {row.level}
        {row.fitting && (
          <div className="muted">
            {zoneInShort(row.fitting)}
            {row.own > 0 && `, ${row.own} at ${row.own === 1 ? 'its' : 'their'} own level`}
          </div>
        )}
      </div>
      <div className="game-players small">
        {row.players.min === row.players.max
          ? `for ${row.players.min}`
          : `${row.players.min} to ${row.players.max}`}
        <div className="muted">here {row.setOf}</div>
      </div>
      <LengthStrip minutes={row.minutes} slotMinutes={slotMinutes} />
      <div className="game-needs small">{row.needs.slice(0, 3).join(', ')}</div>
      <Link
        className="btn btn-quiet btn-sm"
        href={`/c/${classId}/plan?add=${row.id}`}
        aria-label={`Put in plan: ${row.title}`}
        prefetch={false}
      >
        Put in plan
      </Link>
    </li>
  )
}
