import type { Metadata } from 'next'
import { harbourPage } from '@/server/harbour'
import { currentViewer } from '@/server/viewer'
import { Harbour } from '@/ui/harbour/harbour'

export const metadata: Metadata = { title: 'Harbour' }

export default async function HarbourRoute({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  return <Harbour classId={classId} page={await harbourPage(currentViewer(), { classId })} />
}
