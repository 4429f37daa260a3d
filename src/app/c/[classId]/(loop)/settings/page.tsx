import type { Metadata } from 'next'
import { settingsPage } from '@/server/keeping/settings'
import { SettingsPage } from '@/ui/settings/settings-page'
import { load } from '../../../../load'
import { backUpAction, eraseAction, lookIntoAction, restoreAction } from './actions'

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
    />
  )
}
