import type { Metadata } from 'next'
import { roomPage } from '@/server/room/pages'
import { RoomView } from '@/ui/room/room-view'
import { load } from '../../../load'

export const metadata: Metadata = { title: 'Room view' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<{ names?: string }>
}

export default async function Room({ params, searchParams }: Props) {
  const { classId } = await params
  const page = await load(roomPage, { classId, names: (await searchParams).names === '1' })
  return <RoomView page={page} liveAt={`/c/${classId}/live/${page.session.id}`} />
}
