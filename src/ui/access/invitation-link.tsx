'use client'

import { useSyncExternalStore } from 'react'
import { Qr } from './code'

const here = () => window.location.origin
const never = () => () => undefined

/** An invitation as it is handed on: shown once, good once, for a week. */
export function InvitationLink({ token, address }: { token: string; address?: string | null }) {
  const origin = useSyncExternalStore(never, here, () => '')
  const link = `${address ?? origin}/invited#${token}`
  return (
    <div className="way-in" role="status">
      <Qr text={link} />
      <p className="small">
        Hand this on; it is good once, for a week, and is not shown again:
        <br />
        <code className="invitation">{link}</code>
      </p>
    </div>
  )
}
