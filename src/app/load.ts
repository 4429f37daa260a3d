import { notFound, redirect } from 'next/navigation'
import { connection } from 'next/server'
import { z } from 'zod'
import { NotHere, type UseCase } from '@/server/use-case'
import { currentViewer } from '@/server/access/who-asks'
import { isNobody, type Viewer } from '@/server/viewer'

/**
 * What a page shows: the one way from a route to a use case. What the viewer may not see, what does not exist and
 * what the address spells wrongly are told alike, as a page that is not there.
 */
export async function load<Input, Output>(ask: UseCase<Input, Output>, input: Input): Promise<Output> {
  await connection()
  return ask(await signedIn(), input).catch((error: unknown) => {
    if (error instanceof NotHere || error instanceof z.ZodError) notFound()
    throw error
  })
}

/** Who asks for a page; whoever has not said so is asked first. */
export async function signedIn(): Promise<Viewer> {
  const viewer = await currentViewer()
  if (isNobody(viewer)) redirect('/sign-in')
  return viewer
}
