import type { Metadata } from 'next'
import { connection } from 'next/server'
import { listClasses } from '@/server/classes'
import { NewClass } from '@/ui/class/new-class'
import { signedIn } from '../load'
import { createClassAction } from './actions'

export const metadata: Metadata = { title: 'New class' }

export default async function NewClassPage() {
  await connection()
  const classes = await listClasses(await signedIn())
  return <NewClass first={classes.length === 0} create={createClassAction} />
}
