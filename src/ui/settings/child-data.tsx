'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Action } from '@/server/answer'
import type { eraseChild } from '@/server/keeping/erase'
import { Options } from '../options'
import { Problems } from '../problems'
import { SideSheet } from '../sheets/side-sheet'
import { useSaving } from '../sheets/use-saving'

/** What is kept about one child goes out as a document, or is erased, backups included. */
export function ChildData({
  classId,
  childrenOfClass,
  erasing: unfinished,
  erase,
}: {
  classId: string
  childrenOfClass: { id: string; name: string }[]
  erasing: { pupilId: string }[]
  erase: Action<typeof eraseChild>
}) {
  const [chosen, setChosen] = useState('')
  const [erasing, setErasing] = useState(false)
  const child = childrenOfClass.find(({ id }) => id === chosen)
  return (
    <section aria-labelledby="child-title">
      <h2 className="section" id="child-title">
        One child’s data
      </h2>
      <div className="button-row">
        <Form.Select
          size="sm"
          aria-label="Child"
          value={chosen}
          onChange={({ target }) => setChosen(target.value)}
        >
          <Options
            all={[
              { id: '', title: 'choose a child' },
              ...childrenOfClass.map(({ id, name }) => ({ id, title: name })),
            ]}
            chosen={chosen}
          />
        </Form.Select>
        {child && (
          <>
            <a className="btn btn-quiet btn-sm" href={`/c/${classId}/export/${child.id}`} download>
              Export
            </a>
            <Button variant="quiet" size="sm" onClick={() => setErasing(true)}>
              Erase …
            </Button>
          </>
        )}
      </div>
      {unfinished.map(({ pupilId }) => (
        <Unfinished key={pupilId} classId={classId} pupilId={pupilId} erase={erase} />
      ))}
      {erasing && child && (
        <Erase
          classId={classId}
          child={child}
          erase={erase}
          onClose={() => {
            setErasing(false)
            setChosen('')
          }}
        />
      )}
    </section>
  )
}

/** There is no way back from this one: the name has to be written. */
function Erase({
  classId,
  child: { id: pupilId, name },
  erase,
  onClose,
}: {
  classId: string
  child: { id: string; name: string }
  erase: Action<typeof eraseChild>
  onClose: () => void
}) {
  const router = useRouter()
  const [written, setWritten] = useState('')
  const { problems, busy, save } = useSaving()
  return (
    <SideSheet title={`Erase ${name}`} onClose={onClose}>
      <Problems problems={problems} />
      <p>
        This deletes every mark, estimate, group and seat of {name} from the database and from every backup
        Islands keeps. It can’t be undone. Please check the copies you made elsewhere and your own notes
        yourself.
      </p>
      <p className="small muted">
        Damaged backups and damaged data folders can’t be searched for one child, so they are deleted.
      </p>
      <p className="small muted">
        A child who only leaves the class need not be erased: export first if unsure.
      </p>
      <Form.Group controlId="erase-name" className="stacked">
        <Form.Label>Write the name to go on</Form.Label>
        <Form.Control
          value={written}
          autoComplete="off"
          onChange={({ target }) => setWritten(target.value)}
        />
      </Form.Group>
      <Button
        disabled={busy || written.trim() !== name}
        onClick={() =>
          save(
            () => erase({ classId, pupilId }),
            () => {
              onClose()
              router.refresh()
            },
          )
        }
      >
        {busy ? 'Erasing …' : `Erase ${name} for good`}
      </Button>
      {busy && <progress aria-label="Erasing" />}
    </SideSheet>
  )
}

/** An erase that could not get at a file: said without a name, for the child is gone. */
function Unfinished({
  classId,
  pupilId,
  erase,
}: {
  classId: string
  pupilId: string
  erase: Action<typeof eraseChild>
}) {
  const router = useRouter()
  const { problems, busy, save, setProblems } = useSaving()
  return (
    <div className="caution" role="status">
      <p>
        A child you erased may still be in a backup that this computer couldn’t open. Islands tries again
        every hour.
      </p>
      <Problems problems={problems} />
      <Button
        variant="quiet"
        size="sm"
        disabled={busy}
        onClick={() =>
          save(
            () => erase({ classId, pupilId }),
            ({ unread }) => {
              if (unread.length > 0) setProblems([`These can’t be opened: ${unread.join(', ')}.`])
              else router.refresh()
            },
          )
        }
      >
        {busy ? 'Trying again …' : 'Try again now'}
      </Button>
    </div>
  )
}
