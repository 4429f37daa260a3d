import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { connection } from 'next/server'
import { z } from 'zod'
import { currentLink } from '@/server/access/who-asks'
import { stationPage } from '@/server/show'
import { NotHere } from '@/server/use-case'
import { StationScreen } from '@/ui/station/station-screen'

export const metadata: Metadata = { title: 'Digital station' }

interface Props {
  params: Promise<{ visitId: string; pupilId: string }>
}

export default async function PlayHere({ params }: Props) {
  await connection()
  const at = await params
  const device = await currentLink()
  if (!device) notFound()
  const page = await stationPage(device.viewer, { ...at, classId: device.classId }).catch(
    (error: unknown) => {
      if (error instanceof NotHere || error instanceof z.ZodError) notFound()
      throw error
    },
  )
  return <StationScreen key={`${at.visitId} ${at.pupilId}`} page={page} from="/here" back="/here" />
}
