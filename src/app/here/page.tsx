import type { Metadata } from 'next'
import { connection } from 'next/server'
import { currentLink } from '@/server/access/who-asks'
import { NotHere } from '@/server/use-case'
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
  const door = (over: boolean) => <ComeIn over={over} comeIn={comeInAction} leave={leaveAction} />
  if (!device) return door(false)
  const { viewer, kind, classId } = device
  try {
    switch (kind) {
      case 'helper':
        return <HelperBoard page={await helperPage(viewer, { classId })} actions={helping} />
      case 'room':
        return <RoomView page={await roomPage(viewer, { classId })} liveAt="/here/live" />
      case 'station':
        return <ScreenAtStation page={await screenPage(viewer, { classId })} />
    }
  } catch (error) {
    if (error instanceof NotHere) return door(true)
    throw error
  }
}
