'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { groupNames } from '@/core/grouping/pennants'
import type { Happened } from '@/core/planning/replan/happened'
import type { Answer } from '@/server/answer'
import type { ShownWay } from '@/server/room/replan'
import type { RunPage } from '@/server/session-board'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'
import { lossesInWords, wayInWords } from './ways-in-words'

type Kind = Happened['kind']

const kinds: [Kind, string][] = [
  ['late', 'We are late'],
  ['lost-slot', 'A slot is lost'],
  ['adult-missing', 'An adult is missing'],
  ['station-fails', 'A station can’t go on'],
  ['alone', 'A child is alone in its group'],
]

/** Something went wrong: what it was, then two or three ways to go on, with what each loses. */
export function LateSheet({
  stations,
  groups,
  replanned,
  find,
  take,
  undo,
  onClose,
}: {
  stations: RunPage['stations']
  /** Groups of whom somebody is there. */
  groups: readonly { groupId: string; pennant: number }[]
  replanned: RunPage['replanned']
  find: (happened: Happened) => Promise<Answer<ShownWay[]>>
  take: (happened: Happened, way: string) => Promise<Answer<void>>
  undo: () => Promise<Answer<void>>
  onClose: () => void
}) {
  const [kind, setKind] = useState<Kind>('late')
  const [minutes, setMinutes] = useState(10)
  const [stationId, setStation] = useState(stations[0].id)
  const [groupId, setGroup] = useState(groups[0]?.groupId ?? '')
  const [ways, setWays] = useState<ShownWay[] | null>(null)
  const { problems, busy, save } = useSaving()
  const happened: Happened =
    kind === 'late'
      ? { kind, minutes }
      : kind === 'station-fails'
        ? { kind, stationId }
        : kind === 'alone'
          ? { kind, groupId }
          : { kind }
  const anew = (change: () => void) => {
    change()
    setWays(null)
  }
  return (
    <SideSheet title="Plan anew from now" onClose={onClose}>
      {replanned === 'open' && (
        <p className="caution-line small">
          The session goes on another way than planned.{' '}
          <Button variant="quiet" size="sm" disabled={busy} onClick={() => save(undo, onClose)}>
            Undo
          </Button>
        </p>
      )}
      <fieldset className="choices">
        <legend className="visually-hidden">What happened</legend>
        {kinds.map(([one, words]) => (
          <Form.Check
            key={one}
            type="radio"
            name="happened"
            id={`happened-${one}`}
            label={words}
            checked={kind === one}
            onChange={() => anew(() => setKind(one))}
          />
        ))}
      </fieldset>
      {kind === 'late' && (
        <Form.Group controlId="late-minutes">
          <Form.Label className="small">Minutes late</Form.Label>
          <Form.Select
            value={minutes}
            onChange={({ target }) => anew(() => setMinutes(Number(target.value)))}
          >
            {[5, 10, 15, 20].map((number) => (
              <option key={number}>{number}</option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {kind === 'station-fails' && (
        <Form.Group controlId="failed-station">
          <Form.Label className="small">Which station</Form.Label>
          <Form.Select value={stationId} onChange={({ target }) => anew(() => setStation(target.value))}>
            {stations.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {kind === 'alone' && (
        <Form.Group controlId="lone-group">
          <Form.Label className="small">Which group</Form.Label>
          <Form.Select value={groupId} onChange={({ target }) => anew(() => setGroup(target.value))}>
            {groups.map((group) => (
              <option key={group.groupId} value={group.groupId}>
                {groupNames[group.pennant]}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      <Problems problems={problems} />
      {ways === null ? (
        <Button className="wide" disabled={busy} onClick={() => save(() => find(happened), setWays)}>
          {busy ? 'Looking …' : 'Show ways to go on'}
        </Button>
      ) : ways.length === 0 ? (
        <p role="status">No way keeps every rule of the room. Go on as it is, or end here.</p>
      ) : (
        <ol className="ways">
          {ways.map((way, i) => (
            <li key={way.id}>
              <strong>{wayInWords(way)}</strong>
              <ul className="plain-list small">
                {lossesInWords(way).map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
              <Button
                variant={i === 0 ? 'primary' : 'quiet'}
                disabled={busy}
                onClick={() => save(() => take(happened, way.id), onClose)}
              >
                {way.kind === 'adult-plays' ? 'Leave the plan as it is' : 'Go on this way'}
              </Button>
            </li>
          ))}
        </ol>
      )}
    </SideSheet>
  )
}
