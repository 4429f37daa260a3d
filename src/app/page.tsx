import { redirect } from 'next/navigation'
import { connection } from 'next/server'
import { listClasses } from '@/server/classes'
import { signedIn } from './load'

/** To the newest class, or to making the first. */
export default async function Start() {
  await connection()
  const [newest] = await listClasses(await signedIn())
  // A helper records at stations and has no other place.
  const place = newest?.part === 'helper' ? '/run' : ''
  redirect(newest ? `/c/${newest.id}${place}` : '/new')
}
