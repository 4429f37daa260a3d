import type { Metadata } from 'next'
import { stationPage } from '@/server/show'
import { StationScreen } from '@/ui/station/station-screen'
import { load } from '../../../../../load'

export const metadata: Metadata = { title: 'Digital station' }

interface Props {
  params: Promise<{ classId: string; visitId: string; pupilId: string }>
}

export default async function StationRoute({ params }: Props) {
  const at = await params
  const page = await load(stationPage, at)
  return (
    <StationScreen
      key={`${at.visitId} ${at.pupilId}`}
      page={page}
      from={`/c/${at.classId}`}
      back={`/c/${at.classId}/run`}
    />
  )
}
