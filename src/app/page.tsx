import { redirect } from 'next/navigation'
import { connection } from 'next/server'
import { listClasses } from '@/server/classes'
import { currentViewer } from '@/server/viewer'

/** To the newest class, or to making the first. */
export default async function Start() {
  await connection()
  const [newest] = await listClasses(currentViewer())
  redirect(newest ? `/c/${newest.id}` : '/new')
}
