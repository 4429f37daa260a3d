import type { Metadata } from 'next'
import { adultsPage } from '@/server/access/adults'
import { AdultsPage } from '@/ui/access/adults-page'
import { load } from '../load'
import { inviteAction, letAdultGoAction } from './actions'

export const metadata: Metadata = { title: 'Adults' }

export default async function Adults() {
  return <AdultsPage page={await load(adultsPage, {})} invite={inviteAction} letGo={letAdultGoAction} />
}
