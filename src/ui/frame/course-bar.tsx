'use client'

import Link from 'next/link'
import { usePathname, useRouter } from 'next/navigation'
import type { Action } from '@/server/answer'
import type { quickNotePage } from '@/server/notes'
import type { ClassCard } from '@/data/queries/classes'
import { QuickNote } from '../note/quick-note'
import { besides, places } from './places'
import { Shortcuts } from './shortcuts'

/** The bar of the weekly loop: which class, and which place of the course. */
export function CourseBar({
  classId,
  classes,
  loadNotes,
}: {
  classId: string
  classes: ClassCard[]
  loadNotes: Action<typeof quickNotePage>
}) {
  const router = useRouter()
  const path = usePathname()
  const here = classes.find(({ id }) => id === classId)
  // Who looks at a class has no part in its sessions.
  const open = places.filter(({ part }) => part !== 'run' || here?.part !== 'coordinator')
  const part = path.split('/')[3] ?? ''
  const current = part === 'children' ? 'progress' : part
  return (
    <header className="bar">
      <div className="bar-class">
        <label className="visually-hidden" htmlFor="class-switch">
          Class
        </label>
        <select
          id="class-switch"
          value={classId}
          onChange={({ target }) => router.push(target.value === 'new' ? '/new' : `/c/${target.value}`)}
        >
          {classes.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          <option value="new">New class …</option>
        </select>
        {here && (
          <span>
            {here.yearGroup} · {here.children}
          </span>
        )}
      </div>
      <nav aria-label="Weekly loop">
        <ol className="course">
          {open.map(({ part, title }) => (
            <li key={part}>
              <Link
                href={`/c/${classId}${part ? `/${part}` : ''}`}
                aria-current={part === current ? 'page' : undefined}
                prefetch={false}
              >
                {title}
              </Link>
            </li>
          ))}
        </ol>
      </nav>
      <div className="bar-end">
        {here?.part === 'teacher' && <QuickNote classId={classId} load={loadNotes} />}
        {besides.map(({ part: beside, title }) => (
          <Link
            key={beside}
            className="btn btn-plain btn-sm"
            href={`/c/${classId}/${beside}`}
            aria-current={current === beside ? 'page' : undefined}
            prefetch={false}
          >
            {title}
          </Link>
        ))}
        <Shortcuts classId={classId} />
      </div>
    </header>
  )
}
