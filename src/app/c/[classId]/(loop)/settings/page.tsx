import type { Metadata } from 'next'
import { addressForOthers } from '@/server/http/address'
import { settingsPage } from '@/server/keeping/settings'
import { SettingsPage } from '@/ui/settings/settings-page'
import { load } from '../../../../load'
import { inviteToClassAction } from '../../../../adults/actions'
import {
  backUpAction,
  eraseAction,
  forgetLikingsAction,
  forgetPaceAction,
  lookIntoAction,
  restoreAction,
} from './actions'

export const metadata: Metadata = { title: 'Settings' }

export default async function Settings({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  return (
    <SettingsPage
      classId={classId}
      page={await load(settingsPage, { classId })}
      backUp={backUpAction}
      lookInto={lookIntoAction}
      restore={restoreAction}
      erase={eraseAction}
      address={addressForOthers()}
      invite={inviteToClassAction}
      forgetPace={forgetPaceAction}
      forgetLikings={forgetLikingsAction}
    />
  )
}
