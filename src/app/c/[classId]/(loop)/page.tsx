import type { Metadata } from 'next'
import { harbourPage } from '@/server/harbour'
import { Harbour } from '@/ui/harbour/harbour'
import { load } from '../../../load'
import { clockAction, heldOnPaperAction } from '../run/actions'
import { letGoAction, moveToTodayAction } from './plan/actions'

export const metadata: Metadata = { title: 'Harbour' }

export default async function HarbourRoute({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  return (
    <Harbour
      classId={classId}
      page={await load(harbourPage, { classId })}
      tapClock={clockAction}
      moveToToday={moveToTodayAction}
      letGo={letGoAction}
      heldOnPaper={heldOnPaperAction}
    />
  )
}
