'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Answer } from '@/server/answer'
import type { RunPage } from '@/server/session-board'
import { Code } from '../access/code'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'

interface Wanted {
  kind: 'helper' | 'room' | 'station'
  stationId: string | null
  withNames: boolean
}

/** Lets another device in without an account: a helper, the room’s screen, a screen for children. */
export function LetInSheet({
  stations,
  digital,
  address,
  make,
  end,
  onClose,
}: {
  stations: RunPage['stations']
  digital: boolean
  address: string | null
  make: (wanted: Wanted) => Promise<Answer<{ token: string; code: string }>>
  end: () => Promise<Answer<void>>
  onClose: () => void
}) {
  const [wanted, setWanted] = useState<Wanted>({ kind: 'helper', stationId: null, withNames: false })
  const [made, setMade] = useState<{ token: string; code: string } | null>(null)
  const [ended, setEnded] = useState(false)
  const { problems, busy, save } = useSaving()
  const change = (next: Partial<Wanted>) => {
    setWanted({ ...wanted, ...next })
    setMade(null)
    setEnded(false)
  }
  const choose = (kind: Wanted['kind'], label: string) => (
    <Form.Check
      type="radio"
      name="kind"
      id={`let-in-${kind}`}
      label={label}
      checked={wanted.kind === kind}
      onChange={() => change({ kind, stationId: kind === 'station' ? stations[0].id : null })}
    />
  )
  return (
    <SideSheet title="Bring a helper" onClose={onClose}>
      <p className="small muted">
        Another device comes in by a code, without an account. It sees this session only, until the session
        ends.
      </p>
      <fieldset className="choices">
        <legend className="visually-hidden">Who comes in</legend>
        {choose('helper', 'A helper who records')}
        {choose('room', 'The room’s screen: who goes where, and the time')}
        {digital && choose('station', 'A screen for children to play at')}
      </fieldset>
      {wanted.kind !== 'room' && (
        <Form.Group controlId="let-in-where">
          <Form.Label className="small">Station</Form.Label>
          <Form.Select
            value={wanted.stationId ?? ''}
            onChange={({ target }) => change({ stationId: target.value || null })}
          >
            {wanted.kind === 'helper' && <option value="">all stations</option>}
            {stations.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      {wanted.kind === 'room' && (
        <Form.Check
          type="switch"
          id="with-names"
          label="With the children’s names"
          checked={wanted.withNames}
          onChange={({ target }) => change({ withNames: target.checked })}
        />
      )}
      <Problems problems={problems} />
      {made ? (
        <Code address={address} token={made.token} code={made.code} />
      ) : (
        <Button className="wide" disabled={busy} onClick={() => save(() => make(wanted), setMade)}>
          Make a code
        </Button>
      )}
      <div className="end-links">
        <Button
          variant="plain"
          size="sm"
          disabled={busy}
          onClick={() => save(end, () => (setMade(null), setEnded(true)))}
        >
          End all codes
        </Button>
        {ended && (
          <span role="status" className="small">
            Nobody is in by a code any more.
          </span>
        )}
      </div>
    </SideSheet>
  )
}
