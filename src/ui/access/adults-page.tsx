'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { AdultsPage as Page, invite, letAdultGo } from '@/server/access/adults'
import type { Action } from '@/server/answer'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { InvitationLink } from './invitation-link'
import { roleInWords } from './role-words'

interface Props {
  page: Page
  invite: Action<typeof invite>
  letGo: Action<typeof letAdultGo>
}

/** The adults of the school: who they are, what they may do, asking in and letting go. */
export function AdultsPage({ page, invite, letGo }: Props) {
  const router = useRouter()
  const [token, setToken] = useState<string | null>(null)
  const { problems, busy, save } = useSaving()
  const ask = (role: 'coordinator' | 'admin') => (
    <Button
      variant="quiet"
      disabled={busy}
      onClick={() =>
        save(
          () => invite({ role }),
          (made) => setToken(made.token),
        )
      }
    >
      Ask in a {role === 'admin' ? 'school admin' : 'coordinator'}
    </Button>
  )
  return (
    <main className="place">
      <div className="headline">
        <div>
          <h1>{page.adults.length === 1 ? 'You are the only adult here' : `${page.adults.length} adults`}</h1>
          <p>Teachers and helpers are asked into a class from its settings.</p>
        </div>
        <Link className="btn btn-quiet" href="/">
          Back to the class
        </Link>
      </div>
      <Problems problems={problems} />
      <ul className="rows adults">
        {page.adults.map(({ id, name, office, signInName, hasPassword, classes }) => (
          <li key={id}>
            <span className="grow">
              <strong>{name}</strong> {id === page.self && <span className="muted">(you)</span>}
              <br />
              <span className="small muted">
                {[
                  ...(office ? [roleInWords[office]] : []),
                  ...classes.map(
                    (room) => `${room.role === 'teacher' ? 'teacher' : 'helper'} of ${room.name}`,
                  ),
                  hasPassword ? `signs in as ${signInName}` : 'no account yet',
                ].join(' · ')}
              </span>
            </span>
            {id === page.self ? (
              <Link className="btn btn-quiet btn-sm" href="/account">
                {hasPassword ? 'Your account' : 'Make your account'}
              </Link>
            ) : (
              <Button
                variant="plain"
                size="sm"
                disabled={busy}
                aria-label={`${name} leaves`}
                onClick={() =>
                  save(
                    () => letGo({ adultId: id }),
                    () => router.refresh(),
                  )
                }
              >
                Leaves the school
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="buttons">
        {ask('coordinator')} {ask('admin')}
      </div>
      {token !== null && <InvitationLink token={token} />}
    </main>
  )
}
