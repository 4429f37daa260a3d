'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Account } from '@/server/access/sign-in'
import type { saveAccount, signOutEverywhere } from '@/server/access/sign-in'
import type { Action } from '@/server/answer'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { AccountFields } from './account-fields'
import { Door } from './door'

interface Props {
  account: Account
  save: Action<typeof saveAccount>
  signOut: () => Promise<void>
  signOutEverywhere: Action<typeof signOutEverywhere>
}

/** One’s own account: with it other devices can sign in. */
export function AccountPage({ account, save: saveAccount, signOut, signOutEverywhere }: Props) {
  const router = useRouter()
  const [draft, setDraft] = useState({
    name: account.name,
    signInName: account.signInName ?? '',
    password: '',
  })
  const [present, setPresent] = useState('')
  const [saved, setSaved] = useState(false)
  const { problems, busy, save } = useSaving()
  return (
    <Door title={account.hasPassword ? 'Your account' : 'Make your account'}>
      {!account.hasPassword && (
        <p>
          At this computer nobody has to sign in. With an account your tablet and other adults can come in.
        </p>
      )}
      <Problems problems={problems} />
      <Form
        onSubmit={(event) => {
          event.preventDefault()
          const { password, ...names } = draft
          save(
            () => saveAccount({ ...names, password: password || null, present }),
            () => {
              setSaved(true)
              setPresent('')
              setDraft({ ...draft, password: '' })
              router.refresh()
            },
          )
        }}
      >
        <AccountFields
          draft={draft}
          passwordLabel={account.hasPassword ? 'New password, if it is to change' : 'Password'}
          onChange={(next) => {
            setDraft(next)
            setSaved(false)
          }}
        />
        {account.hasPassword && (
          <Form.Group controlId="present-password">
            <Form.Label>Present password</Form.Label>
            <Form.Control
              type="password"
              value={present}
              autoComplete="current-password"
              maxLength={200}
              onChange={({ target }) => setPresent(target.value)}
            />
          </Form.Group>
        )}
        <Button type="submit" className="wide" disabled={busy}>
          {busy ? 'One moment …' : 'Save'}
        </Button>
        {saved && <p role="status">Saved. Devices sign in with it from now on.</p>}
      </Form>
      <div className="door-foot">
        <Link href="/">Back</Link>
        {account.hasPassword && (
          <>
            <Button variant="plain" size="sm" onClick={() => void signOut().then(() => router.push('/'))}>
              Sign out here
            </Button>
            <Button
              variant="plain"
              size="sm"
              onClick={() =>
                save(
                  () => signOutEverywhere({}),
                  () => router.push('/'),
                )
              }
            >
              Sign out everywhere
            </Button>
          </>
        )}
      </div>
    </Door>
  )
}
