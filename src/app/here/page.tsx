import type { Metadata } from 'next'
import { connection } from 'next/server'
import { currentLink } from '@/server/access/who-asks'
import { NotHere } from '@/server/use-case'
import type { LinkedDevice } from '@/server/room/links'
import { helperPage, roomPage, screenPage } from '@/server/room/pages'
import { ComeIn } from '@/ui/access/come-in'
import { HelperBoard } from '@/ui/helper/helper-board'
import { RoomView } from '@/ui/room/room-view'
import { ScreenAtStation } from '@/ui/station/screen-at-station'
import { changeLevelHere, comeInAction, leaveAction, swapSeatsHere } from './actions'

export const metadata: Metadata = { title: 'Islands' }

const helping = { changeLevel: changeLevelHere, swapSeats: swapSeatsHere }

/** What a device shows that came in by a code: a helper’s page, the room, a screen at a station; else the door. */
export default async function Here() {
  await connection()
  const device = await currentLink()
  const door = (over: string | null) => <ComeIn over={over} comeIn={comeInAction} leave={leaveAction} />
  if (!device) return door(null)
  const shown = await shownTo(device).catch((error: unknown) => {
    if (error instanceof NotHere) return null
    throw error
  })
  switch (shown?.kind) {
    case 'helper':
      return <HelperBoard page={shown.page} actions={helping} />
    case 'room':
      return <RoomView page={shown.page} liveAt="/here/live" />
    case 'station':
      return <ScreenAtStation page={shown.page} />
    default:
      return door(device.classId)
  }
}

async function shownTo({ viewer, kind, classId }: LinkedDevice) {
  switch (kind) {
    case 'helper':
      return { kind, page: await helperPage(viewer, { classId }) }
    case 'room':
      return { kind, page: await roomPage(viewer, { classId }) }
    case 'station':
      return { kind, page: await screenPage(viewer, { classId }) }
  }
}
