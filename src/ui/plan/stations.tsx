'use client'

import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Plan, PlanView } from '@/server/plan'
import { modeInWords } from '../words'
import { FetchList } from './fetch-list'

/** The stations with what is to be laid out at each, and the materials in all. */
export function Stations({
  view,
  games,
  onChange,
  onCount,
}: {
  view: PlanView
  games: { id: string; title: string }[]
  onChange: (stations: Plan['stations']) => void
  onCount: (item: string, count: number | null) => void
}) {
  const { stations } = view.plan
  const cautions = [...new Set(view.stations.flatMap((station) => station.cautions))]
  return (
    <aside className="stations">
      <h2 className="section">Stations</h2>
      <ol className="rows">
        {stations.map(({ gameId, mode }, position) => (
          <li key={position}>
            <div className="grow">
              <div className="station-line">
                <Form.Select
                  size="sm"
                  aria-label={`Station ${position + 1}: game`}
                  value={gameId}
                  onChange={({ target }) => onChange(stations.with(position, { gameId: target.value, mode }))}
                >
                  {games.map(({ id, title }) => (
                    <option key={id} value={id}>
                      {title}
                    </option>
                  ))}
                </Form.Select>
                <Form.Select
                  size="sm"
                  aria-label={`Station ${position + 1}: adult`}
                  value={mode}
                  onChange={({ target }) =>
                    onChange(stations.with(position, { gameId, mode: target.value as typeof mode }))
                  }
                >
                  {Object.entries(modeInWords).map(([value, words]) => (
                    <option key={value} value={value}>
                      {words}
                    </option>
                  ))}
                </Form.Select>
                <Button
                  variant="quiet"
                  size="sm"
                  aria-label={`Remove station ${position + 1}`}
                  onClick={() => onChange(stations.toSpliced(position, 1))}
                >
                  Remove
                </Button>
              </div>
              <div className="tiny muted">
                {(view.stations[position]?.needs ?? [])
                  .map(({ count, item }) => `${count} × ${item}`)
                  .join(', ')}
              </div>
            </div>
          </li>
        ))}
      </ol>
      <Button
        variant="quiet"
        size="sm"
        disabled={stations.length >= 8}
        onClick={() => onChange([...stations, { gameId: games[0].id, mode: 'own' }])}
      >
        Add a station
      </Button>
      <FetchList view={view} onCount={onCount} />
      {cautions.map((caution) => (
        <p key={caution} className="caution">
          {caution} Follow your school’s own risk assessment.
        </p>
      ))}
    </aside>
  )
}
