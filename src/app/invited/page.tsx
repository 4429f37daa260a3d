import type { Metadata } from 'next'
import { Invited } from '@/ui/access/invited'
import { acceptAction, invitedToAction } from './actions'

export const metadata: Metadata = { title: 'You are asked in' }

/** The token stands behind # in the address: it is in no log and in nobody’s list of pages. */
export default function InvitedPage() {
  return <Invited invitedTo={invitedToAction} accept={acceptAction} />
}
