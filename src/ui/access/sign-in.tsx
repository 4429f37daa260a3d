'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Answer } from '@/server/answer'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { Door } from './door'

interface Props {
  /** Somebody has an account. */
  open: boolean
  signIn: (given: { signInName: string; password: string }) => Promise<Answer<null>>
}

/** Says who one is, on a device that is not the computer Islands runs on. */
export function SignIn({ open, signIn }: Props) {
  const router = useRouter()
  const [signInName, setName] = useState('')
  const [password, setPassword] = useState('')
  const { problems, busy, save } = useSaving()
  if (!open)
    return (
      <Door title="Not open to other devices yet">
        <p>
          Make an account first, at the computer Islands runs on: <code>/account</code> there. Then this
          device can sign in.
        </p>
      </Door>
    )
  return (
    <Door title="Sign in">
      <Problems problems={problems} />
      <Form
        onSubmit={(event) => {
          event.preventDefault()
          save(
            () => signIn({ signInName, password }),
            () => router.push('/'),
          )
        }}
      >
        <Form.Group controlId="sign-in-name">
          <Form.Label>Sign-in name</Form.Label>
          <Form.Control
            value={signInName}
            autoComplete="username"
            autoCapitalize="none"
            maxLength={40}
            onChange={({ target }) => setName(target.value)}
          />
        </Form.Group>
        <Form.Group controlId="password">
          <Form.Label>Password</Form.Label>
          <Form.Control
            type="password"
            value={password}
            autoComplete="current-password"
            maxLength={200}
            onChange={({ target }) => setPassword(target.value)}
          />
        </Form.Group>
        <Button type="submit" className="wide" disabled={busy || !signInName || !password}>
          {busy ? 'One moment …' : 'Sign in'}
        </Button>
      </Form>
      <p className="tiny muted">
        Where the address begins with http and not with https, others in the same network could read along:
        sign in from a network you trust only.
      </p>
      <p className="small">
        <a href="/here">I have a code for a session</a>
      </p>
    </Door>
  )
}
