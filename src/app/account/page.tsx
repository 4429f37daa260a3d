import type { Metadata } from 'next'
import { accountPage } from '@/server/access/sign-in'
import { AccountPage } from '@/ui/access/account-page'
import { load } from '../load'
import { signOutAction, signOutEverywhereAction } from '../sign-in/actions'
import { saveAccountAction } from './actions'

export const metadata: Metadata = { title: 'Your account' }

export default async function Account() {
  const account = await load(accountPage, {})
  return (
    <AccountPage
      account={account}
      save={saveAccountAction}
      signOut={signOutAction}
      signOutEverywhere={signOutEverywhereAction}
    />
  )
}
