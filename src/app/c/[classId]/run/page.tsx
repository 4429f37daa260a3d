import type { Metadata } from 'next'
import Link from 'next/link'
import { notFound } from 'next/navigation'
import { connection } from 'next/server'
import { runPage } from '@/server/run'
import { NotHere } from '@/server/use-case'
import { currentViewer } from '@/server/viewer'
import { RunBoard } from '@/ui/run/run-board'
import { absentAction, clockAction } from './actions'

export const metadata: Metadata = { title: 'Run' }

export default async function Run({ params }: { params: Promise<{ classId: string }> }) {
  await connection()
  const { classId } = await params
  const page = await runPage(currentViewer(), { classId }).catch((error: unknown) => {
    if (error instanceof NotHere) notFound()
    throw error
  })
  if (!page)
    return (
      <main className="place empty">
        <h1>No session is planned</h1>
        <p>Plan one in a minute: stations, slots, ready.</p>
        <Link className="btn btn-primary" href={`/c/${classId}/plan`}>
          To the plan
        </Link>
      </main>
    )
  return (
    <RunBoard
      key={`${page.session.id} ${page.session.state} ${page.session.slot}`}
      classId={classId}
      page={page}
      tapClock={clockAction}
      markAbsent={absentAction}
    />
  )
}
