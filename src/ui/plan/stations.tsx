'use client'

import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { OtherGame } from '@/core/planning/session/other-games'
import type { PlannedStation } from '@/core/planning/session/plan'
import type { PlanView } from '@/core/planning/session/work-out'
import { Options } from '../options'
import { modeInWords } from '../words'
import { FetchList } from './fetch-list'
import { twoInstead } from './two-instead'

/** The stations with what is to be laid out at each, and the materials in all. */
export function Stations({
  view,
  games,
  others,
  onStation,
  onAdd,
  onRemove,
  onCount,
  printAt,
}: {
  view: PlanView
  games: { id: string; title: string }[]
  others: readonly OtherGame[]
  onStation: (id: string, to: Partial<PlannedStation>) => void
  onAdd: (gameId: string) => void
  onRemove: (id: string) => void
  onCount: (item: string, count: number | null) => void
  printAt: string | null
}) {
  const { stations } = view.plan
  const planned = stations.map(({ gameId }) => gameId)
  const cautions = [...new Set(view.stations.flatMap((station) => station.cautions))]
  return (
    <aside className="stations">
      <h2 className="section">Stations</h2>
      <ol className="rows">
        {stations.map(({ id, gameId, mode, places }, position) => (
          <li key={id}>
            <PlannedPicture view={view} stationId={id} gameId={gameId} />
            <div className="grow">
              <div className="station-line">
                <Form.Select
                  size="sm"
                  aria-label={`Station ${position + 1}: game`}
                  value={gameId}
                  onChange={({ target }) => onStation(id, { gameId: target.value })}
                >
                  <Options all={games} chosen={gameId} />
                </Form.Select>
                <Button
                  variant="quiet"
                  size="sm"
                  aria-label={`Remove station ${position + 1}`}
                  onClick={() => onRemove(id)}
                >
                  Remove
                </Button>
                <Form.Select
                  size="sm"
                  aria-label={`Station ${position + 1}: adult`}
                  value={mode}
                  onChange={({ target }) => onStation(id, { mode: target.value as typeof mode })}
                >
                  {Object.entries(modeInWords).map(([value, words]) => (
                    <option key={value} value={value}>
                      {words}
                    </option>
                  ))}
                </Form.Select>
                <Form.Select
                  size="sm"
                  aria-label={`Station ${position + 1}: places`}
                  value={places ?? ''}
                  onChange={({ target }) => onStation(id, { places: Number(target.value) || null })}
                >
                  <Options all={placesWith(places)} chosen={String(places ?? '')} />
                </Form.Select>
              </div>
              <Instead
                games={twoInstead(others, planned, others.find((one) => one.gameId === gameId)?.strand)}
                position={position}
                onChoose={(other) => onStation(id, { gameId: other })}
              />
              <div className="tiny muted">
                {(view.stations.find((station) => station.id === id)?.needs ?? [])
                  .map(({ count, item }) => `${count} × ${item}`)
                  .join(', ')}
              </div>
            </div>
          </li>
        ))}
      </ol>
      <Button variant="quiet" size="sm" disabled={stations.length >= 8} onClick={() => onAdd(games[0].id)}>
        Add a station
      </Button>
      <FetchList view={view} onCount={onCount} printAt={printAt} />
      {cautions.map((caution) => (
        <p key={caution} className="caution">
          {caution} Follow your school’s own risk assessment.
        </p>
      ))}
    </aside>
  )
}

/** The first two choices beside the game that is planned. */
function Instead({
  games,
  position,
  onChoose,
}: {
  games: readonly OtherGame[]
  position: number
  onChoose: (gameId: string) => void
}) {
  if (games.length === 0) return null
  return (
    <div className="tiny muted instead">
      or
      {games.map(({ gameId, title, fitting, known }) => (
        <Button key={gameId} variant="plain" size="sm" onClick={() => onChoose(gameId)}>
          {title}
          {known > 0 && (
            <small>
              {' '}
              fits {fitting}
              <span className="visually-hidden"> of {known}</span>
            </small>
          )}
          <span className="visually-hidden"> instead at station {position + 1}</span>
        </Button>
      ))}
    </div>
  )
}

/** What lies on the station's table, at the level played there first. */
function PlannedPicture({ view, stationId, gameId }: { view: PlanView; stationId: string; gameId: string }) {
  // While another game is worked out, what is known is about the one before.
  const known = view.stations.find((station) => station.id === stationId && station.gameId === gameId)
  if (!known) return <span className="game-picture" />
  const visit = view.visits.find((one) => one.stationId === stationId)
  const levelId = visit?.levelId ?? known.levels[0].id
  return (
    // eslint-disable-next-line @next/next/no-img-element -- a drawing, not a photograph to be scaled
    <img className="game-picture" src={`/pictures/${gameId}/${levelId}`} alt="" loading="lazy" />
  )
}

/** Numbers of places to choose from, with the one that stands. */
const placesWith = (places: number | null) => [
  { id: '', title: 'no limit' },
  ...[...new Set([2, 3, 4, 5, 6, 7, 8, 10, 12, places ?? 4])]
    .sort((a, b) => a - b)
    .map((number) => ({ id: String(number), title: `${number} places` })),
]
