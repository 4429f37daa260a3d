'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useEffectEvent, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { useKeptPage } from '../run/use-kept-page'
import { Door } from './door'
import { HandIn } from './hand-in'

interface Props {
  /** The class whose session the device was in; null: it had no link, or one that is forgotten. */
  over: string | null
  comeIn: (given: { token: string } | { code: string }) => Promise<Answer<null>>
  leave: () => Promise<void>
}

/** The door for devices without an account: a code is typed, or came along behind # in the address. */
export function ComeIn({ over, comeIn, leave }: Props) {
  const router = useRouter()
  const [code, setCode] = useState('')
  const { problems, busy, save } = useSaving()
  // Whoever stands at the door has no board to keep any more.
  useKeptPage(0, true)

  const give = useEffectEvent((given: { token: string }) =>
    save(
      () => comeIn(given),
      // Read anew without what stood behind #: it is not to stay in the list of pages.
      () => window.location.replace(window.location.pathname),
    ),
  )
  useEffect(() => {
    const token = window.location.hash.slice(1)
    if (token !== '') give({ token })
  }, [])

  return (
    <Door title="Come in by a code">
      {over !== null && <HandIn classId={over} />}
      {over !== null && (
        <p>
          That session is over, or its code was ended.{' '}
          <Button variant="plain" size="sm" onClick={() => void leave().then(() => router.refresh())}>
            Forget it on this device
          </Button>
        </p>
      )}
      <Problems problems={problems} />
      <Form
        onSubmit={(event) => {
          event.preventDefault()
          save(
            () => comeIn({ code }),
            () => router.refresh(),
          )
        }}
      >
        <Form.Group controlId="code">
          <Form.Label>The code from the teacher’s screen</Form.Label>
          <Form.Control
            className="code-typed"
            value={code}
            maxLength={12}
            autoCapitalize="characters"
            autoComplete="off"
            spellCheck={false}
            onChange={({ target }) => setCode(target.value.toUpperCase())}
          />
        </Form.Group>
        <Button type="submit" className="wide" disabled={busy || code.trim() === ''}>
          {busy ? 'One moment …' : 'Come in'}
        </Button>
      </Form>
    </Door>
  )
}
