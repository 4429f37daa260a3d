import type { Metadata } from 'next'
import { connection } from 'next/server'
import { accountsThere } from '@/server/access/sign-in'
import { SignIn } from '@/ui/access/sign-in'
import { signInAction } from './actions'

export const metadata: Metadata = { title: 'Sign in' }

export default async function SignInPage() {
  await connection()
  return <SignIn open={await accountsThere()} signIn={signInAction} />
}
