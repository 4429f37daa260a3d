'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { pennantOutlines } from '@/core/drawing/pennant'
import { thingPicture } from '@/core/drawing/thing-picture'
import { groupNames, pennantShapes } from '@/core/grouping/pennants'
import type { RoomPage, RoomStation } from '@/server/room/pages'
import { MarkShape } from '../board/mark-shape'
import { island } from '../charts/island'
import { useCountdown } from '../run/use-countdown'
import { useLive } from '../run/use-live'
import { Lagoon } from './lagoon'
import { berths, room } from './berths'
import { playSignal } from './signal'
import { titleLines } from './title-lines'

/** Where each group goes and how long it stays there, to be read from the back of the room. No marks, no levels, no controls. */
export function RoomView({ page, liveAt }: { page: RoomPage; liveAt: string }) {
  const router = useRouter()
  const [clock, setClock] = useState<RoomPage['session']>(page.session)
  const [plan, setPlan] = useState(page.plan)
  const [sound, setSound] = useState(false)
  const line = useLive(liveAt, (change) => {
    if (change.clock) setClock((now) => ({ ...now, ...change.clock }))
    if (change.plan !== undefined) setPlan(change.plan)
  })
  const changed = plan !== page.plan
  useEffect(() => {
    if (changed) router.refresh()
  }, [changed, router])

  const running = clock.state === 'running'
  const left = useCountdown(clock.leftMs, running && !clock.paused)
  const isOver = running && left <= 0
  useEffect(() => {
    if (isOver && sound) playSignal()
  }, [isOver, sound])

  const { stations } = page
  // When time is up everybody looks for where to go next.
  const next = isOver && clock.slot + 1 < clock.slots
  const slot = next ? clock.slot + 1 : clock.slot
  const visits = page.visits.filter((visit) => visit.slot === slot)
  const places = berths(stations.length)
  return (
    <main className="room" aria-label="Room view">
      <svg viewBox={`0 0 ${room.width} ${room.height}`} className="board room-sea">
        {stations.map((station, i) => (
          <RoomIsland
            key={station.id}
            station={station}
            seed={i + 1}
            at={places[i]}
            visits={visits.filter(({ stationId }) => stationId === station.id)}
          />
        ))}
      </svg>
      <div className="room-time" role="status">
        {clock.state === 'done' || line === 'over' ? (
          <strong>The games are over</strong>
        ) : (
          <>
            <Lagoon share={running ? Math.max(0, left) / clock.fullMs : 1} />
            <strong>{timeInWords(clock, left)}</strong>
            <span>{!running ? 'then we begin' : next ? 'to your flag' : 'then move on'}</span>
          </>
        )}
        {line === 'away' && <span className="line-state">Looking for the session …</span>}
      </div>
      <div className="room-tools">
        <button type="button" className="btn btn-plain" aria-pressed={sound} onClick={() => setSound(!sound)}>
          {sound ? 'Sound on' : 'Sound off'}
        </button>
        <button
          type="button"
          className="btn btn-plain"
          onClick={() => void document.documentElement.requestFullscreen?.()}
        >
          Whole screen
        </button>
      </div>
    </main>
  )
}

function timeInWords(clock: RoomPage['session'], left: number): string {
  if (clock.state === 'planned') return 'soon'
  if (clock.paused) return 'wait'
  if (left <= 0) return clock.slot + 1 < clock.slots ? 'move' : 'tidy up'
  return left > 60_000 ? `${Math.ceil(left / 60_000)} min` : 'nearly'
}

/** Of a letter’s height, on the safe side. */
const letterWidth = 0.54

const wrapped = (names: readonly string[]) => {
  const lines: string[] = []
  for (const name of names) {
    const last = lines.at(-1)
    if (last !== undefined && `${last}, ${name}`.length <= 22) lines[lines.length - 1] = `${last}, ${name}`
    else lines.push(name)
  }
  return lines
}

function RoomIsland({
  station,
  seed,
  at: { x, y, radius, width },
  visits,
}: {
  station: RoomStation
  seed: number
  at: ReturnType<typeof berths>[number]
  visits: RoomPage['visits']
}) {
  const { coast, depths } = island(seed, radius)
  const pennant = Math.min(120, radius * 0.72)
  const names = wrapped(visits.flatMap((visit) => visit.names))
  const lines = titleLines(station.title)
  const longest = Math.max(...lines.map(({ length }) => length))
  // It may reach beyond the coast, but not to the next island.
  const title = Math.min(72, width / (letterWidth * longest))
  const top = radius * (lines.length > 1 ? -0.06 : 0.1)
  const under = top + title * (lines.length - 0.7)
  const picture = radius * 0.44
  return (
    <g transform={`translate(${x},${y})`} role="group" aria-label={islandInWords(station, visits)}>
      {depths.map((depth, i) => (
        <path key={i} d={depth} className={`depth depth-${i}`} />
      ))}
      <path d={coast} className="coast" />
      {visits.map(({ pennant: number }, i) => (
        <g
          key={number}
          className="room-pennant"
          transform={`translate(${(i - (visits.length - 1) / 2) * pennant * 1.5 - pennant * 0.4},${-radius * 1.18}) scale(${pennant / 20})`}
        >
          <path d="M0,-2V24" className="pole" />
          <path d={pennantOutlines[pennantShapes[number]]} fill={`var(--pennant-${pennantShapes[number]})`} />
        </g>
      ))}
      {lines.map((line, i) => (
        <text key={line} className="room-title" y={top + title * (i + 0.3)} fontSize={title}>
          {line}
        </text>
      ))}
      {names.length > 0 ? (
        names.map((line, i) => (
          <text key={line} className="room-names" y={under + 40 + i * 30} fontSize={26}>
            {line}
          </text>
        ))
      ) : (
        <g
          transform={`translate(${(-(station.things.length - 1) * picture * 1.15) / 2},${Math.max(radius * 0.6, under + picture * 0.55)})`}
        >
          {station.things.map(({ thing, name }, i) => (
            <g key={name} transform={`translate(${i * picture * 1.15},0)`}>
              <MarkShape mark={thingPicture(thing, picture, picture * 0.8)} />
            </g>
          ))}
        </g>
      )}
    </g>
  )
}

function islandInWords({ title, things }: RoomStation, visits: RoomPage['visits']): string {
  const groups = visits.map(({ pennant }) => groupNames[pennant]).join(', ') || 'nobody'
  return `${title}, with ${things.map(({ name }) => name).join(', ')}: ${groups}`
}
