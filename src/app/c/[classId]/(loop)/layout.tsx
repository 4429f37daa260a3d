import { notFound } from 'next/navigation'
import { connection } from 'next/server'
import { listClasses } from '@/server/classes'
import { CourseBar } from '@/ui/frame/course-bar'
import { LookingOnly } from '@/ui/frame/looking-only'
import { quickNoteAction } from '../note/actions'
import { signedIn } from '../../../load'

export default async function LoopLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ classId: string }>
}) {
  await connection()
  const { classId } = await params
  const classes = await listClasses(await signedIn())
  const own = classes.find(({ id }) => id === classId)
  if (!own) notFound()
  return (
    <>
      <a className="skip" href="#place">
        To the content
      </a>
      {own.part === 'coordinator' && (
        <p className="reading-only small">You look at this class; only its teachers change anything.</p>
      )}
      <CourseBar classId={classId} classes={classes} loadNotes={quickNoteAction} />
      <main id="place" className="place">
        {own.part === 'coordinator' ? <LookingOnly>{children}</LookingOnly> : children}
      </main>
    </>
  )
}
