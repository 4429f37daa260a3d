'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Action } from '@/server/answer'
import type { BackupContents, lookIntoBackup, restoreBackup } from '@/server/keeping/backups'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'
import { many } from '../words'

/** What a backup holds, and the button that puts it in the place of everything. */
export function BringBack({
  name,
  made,
  lookInto,
  restore,
  onClose,
}: {
  name: string
  made: string
  lookInto: Action<typeof lookIntoBackup>
  restore: Action<typeof restoreBackup>
  onClose: () => void
}) {
  const router = useRouter()
  const [contents, setContents] = useState<BackupContents | null>(null)
  const { problems, busy, save, setProblems } = useSaving()
  useEffect(() => {
    let left = false
    void lookInto({ name }).then((found) => {
      if (left) return
      if (found.ok) setContents(found.value)
      else setProblems(found.problems)
    })
    return () => {
      left = true
    }
  }, [name, lookInto, setProblems])
  return (
    <SideSheet title={`The backup made ${made}`} onClose={onClose}>
      <Problems problems={problems} />
      {!contents && problems.length === 0 && (
        <p className="muted" role="status">
          Looking into it …
        </p>
      )}
      {contents && (
        <>
          <ul className="rows">
            {contents.classes.map(({ name: title, children }) => (
              <li key={title}>
                <span className="grow">{title}</span>
                <span className="muted">{many(children, 'child', 'children')}</span>
              </li>
            ))}
            <li>
              <span className="grow">Marks</span>
              <span className="muted">{contents.marks.toLocaleString('en-GB')}</span>
            </li>
          </ul>
          <p>
            It takes the place of everything there is now, for all classes. What there is now is backed up
            first, so there is a way back.
          </p>
          <Button
            disabled={busy}
            onClick={() =>
              save(
                () => restore({ name }),
                () => router.push('/'),
              )
            }
          >
            {busy ? 'Bringing it back …' : 'Bring it back'}
          </Button>
          {busy && <progress aria-label="Bringing it back" />}
        </>
      )}
    </SideSheet>
  )
}
