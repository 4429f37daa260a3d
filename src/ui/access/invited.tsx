'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Answer } from '@/server/answer'
import type { Invited as Invitation } from '@/server/access/sign-in'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { AccountFields, type AccountDraft } from './account-fields'
import { Door } from './door'
import { roleInWords } from './role-words'

interface Props {
  invitedTo: (token: string) => Promise<Answer<Invitation | null>>
  accept: (input: AccountDraft & { token: string }) => Promise<Answer<null>>
}

/** Somebody was asked in: chooses a name and a password, once. */
export function Invited({ invitedTo, accept }: Props) {
  const router = useRouter()
  const [token, setToken] = useState<string | null>(null)
  const [found, setFound] = useState<Invitation | null | 'looking'>('looking')
  const [draft, setDraft] = useState<AccountDraft>({ name: '', signInName: '', password: '' })
  const { problems, busy, save } = useSaving()

  useEffect(() => {
    const given = window.location.hash.slice(1)
    void invitedTo(given).then((answer) => {
      setToken(given)
      setFound(answer.ok ? answer.value : null)
    })
  }, [invitedTo])

  if (found === 'looking')
    return (
      <Door title="You are asked in">
        <p role="status">One moment …</p>
      </Door>
    )
  if (found === null || token === null)
    return (
      <Door title="This invitation is not good">
        <p>It was used already, or is older than a week. Ask for another one.</p>
      </Door>
    )
  return (
    <Door title="You are asked in">
      <p>
        {roleInWords[found.role]}
        {found.className !== null && ` of ${found.className}`}.
      </p>
      <Problems problems={problems} />
      <Form
        onSubmit={(event) => {
          event.preventDefault()
          save(
            () => accept({ token, ...draft }),
            () => router.push('/'),
          )
        }}
      >
        <AccountFields draft={draft} passwordLabel="Password" onChange={setDraft} />
        <Button type="submit" className="wide" disabled={busy}>
          {busy ? 'One moment …' : 'Make the account'}
        </Button>
      </Form>
    </Door>
  )
}
