'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { inviteToClass } from '@/server/access/adults'
import type { Action } from '@/server/answer'
import { InvitationLink } from '../access/invitation-link'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'

/** Who else comes in: asked into this class by a link that is good once. */
export function ClassAdults({
  classId,
  address,
  invite,
  all,
}: {
  classId: string
  address: string | null
  invite: Action<typeof inviteToClass>
  /** Whoever looks after the school's accounts sees all of them. */
  all: boolean
}) {
  const [token, setToken] = useState<string | null>(null)
  const { problems, busy, save } = useSaving()
  const ask = (role: 'teacher' | 'helper', words: string) => (
    <Button
      variant="quiet"
      size="sm"
      disabled={busy}
      onClick={() =>
        save(
          () => invite({ classId, role }),
          (made) => setToken(made.token),
        )
      }
    >
      {words}
    </Button>
  )
  return (
    <section aria-labelledby="adults-title">
      <h2 className="section" id="adults-title">
        Adults
      </h2>
      <p className="small muted">
        A teacher sees and changes everything of this class; a helper records at stations. For one session a
        code on the run board is enough.
      </p>
      <Problems problems={problems} />
      <div className="button-row">
        {ask('teacher', 'Ask in a teacher')}
        {ask('helper', 'Ask in a helper')}
        <Link className="btn btn-plain btn-sm" href="/account">
          Your account
        </Link>
        {all && (
          <Link className="btn btn-plain btn-sm" href="/adults">
            All adults
          </Link>
        )}
      </div>
      {token !== null && <InvitationLink token={token} address={address} />}
    </section>
  )
}
