import { notFound } from 'next/navigation'
import { connection } from 'next/server'
import { listClasses } from '@/server/classes'
import { currentViewer } from '@/server/viewer'
import { CourseBar } from '@/ui/frame/course-bar'

export default async function LoopLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ classId: string }>
}) {
  await connection()
  const { classId } = await params
  const classes = await listClasses(currentViewer())
  if (!classes.some(({ id }) => id === classId)) notFound()
  return (
    <>
      <a className="skip" href="#place">
        To the content
      </a>
      <CourseBar classId={classId} classes={classes} />
      <main id="place" className="place">
        {children}
      </main>
    </>
  )
}
