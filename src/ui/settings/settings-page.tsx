'use client'

import Link from 'next/link'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { inviteToClass } from '@/server/access/adults'
import type { Action } from '@/server/answer'
import type { forgetLikings, forgetPace } from '@/server/habits'
import type { backUpNow, lookIntoBackup, restoreBackup } from '@/server/keeping/backups'
import type { eraseChild } from '@/server/keeping/erase'
import type { SettingsPage as Page } from '@/server/keeping/settings'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { many } from '../words'
import { BringBack } from './bring-back'
import { ChildData } from './child-data'
import { ClassAdults } from './class-adults'
import { ClassHabits } from './class-habits'
import { ImportClass } from './import-class'
import { bytesInWords, momentInWords } from './keeping-in-words'

interface Props {
  classId: string
  page: Page
  backUp: Action<typeof backUpNow>
  lookInto: Action<typeof lookIntoBackup>
  restore: Action<typeof restoreBackup>
  erase: Action<typeof eraseChild>
  /** Where other devices reach this computer; null: they can't. */
  address: string | null
  invite: Action<typeof inviteToClass>
  forgetPace: Action<typeof forgetPace>
  forgetLikings: Action<typeof forgetLikings>
}

const reasons = {
  daily: 'of the day',
  migration: 'before an update',
  import: 'before an import',
  restore: 'before a backup came back',
  erase: 'before an erasure',
  'by-hand': 'made by hand',
} as const

const sentence = (words: string) => words[0].toUpperCase() + words.slice(1)

/** What is kept and where it goes, who else comes in, what the class has shown; what goes out, comes in and is erased. */
export function SettingsPage(props: Props) {
  const { classId, page } = props
  const { classroom, keeping, teaches } = page
  return (
    <>
      {keeping ? (
        <SchoolKeeping {...props} keeping={keeping} />
      ) : (
        <div className="headline">
          <div>
            <h1>{classroom.name}</h1>
            <p>The school’s admin looks after backups and accounts.</p>
          </div>
          <Link className="btn btn-quiet" href="/account">
            Your account
          </Link>
        </div>
      )}
      <div className="columns settings">
        {keeping && <Backups {...props} keeping={keeping} />}
        <div>
          {teaches && (
            <>
              <ClassAdults
                classId={classId}
                address={props.address}
                invite={props.invite}
                all={keeping !== null}
              />
              <ClassHabits
                classId={classId}
                habits={page.habits}
                forgetPace={props.forgetPace}
                forgetLikings={props.forgetLikings}
              />
            </>
          )}
          <section aria-labelledby="class-title">
            <h2 className="section" id="class-title">
              {classroom.name} as a document
            </h2>
            <p className="small muted">
              Children, groups, plans and every mark, readable without Islands. It holds children’s names:
              keep it as your school keeps such records.
            </p>
            <div className="button-row">
              {teaches && (
                <a className="btn btn-quiet btn-sm" href={`/c/${classId}/export`} download>
                  Export the class
                </a>
              )}
              <a className="btn btn-quiet btn-sm" href={`/c/${classId}/list`} download>
                Names for a spreadsheet
              </a>
              {keeping && <ImportClass />}
            </div>
          </section>
          {teaches && (
            <ChildData
              classId={classId}
              childrenOfClass={page.children}
              erasing={page.erasing}
              erase={props.erase}
            />
          )}
          <p className="caution">
            Your school’s data-protection policy and the law where you are govern how long records are kept
            and who may see them. At the end of the school year, export what has to stay and erase the rest.
          </p>
        </div>
      </div>
    </>
  )
}

type WithKeeping = Props & { keeping: NonNullable<Page['keeping']> }

const momentOf =
  ({ page: { now, classroom } }: Props) =>
  (at: string) =>
    momentInWords(at, now, classroom.timeZone)

/** When it was last backed up, and doing it now. */
function SchoolKeeping(props: WithKeeping) {
  const { backUp, keeping } = props
  const { problems, busy, save } = useSaving()
  const { kept } = keeping
  const [newest] = keeping.backups
  return (
    <>
      <div className="headline">
        <div>
          <h1>{newest ? `Backed up ${momentOf(props)(newest.madeAt)}` : 'Not backed up yet'}</h1>
          <p>
            {many(kept.classes, 'class', 'classes')}, {many(kept.children, 'child', 'children')},{' '}
            {kept.marks.toLocaleString('en-GB')} marks
            {kept.bytes !== null && ` · ${bytesInWords(kept.bytes)} on this computer`}
          </p>
        </div>
        <Button
          disabled={busy}
          onClick={() =>
            save(
              () => backUp({}),
              () => undefined,
            )
          }
        >
          {busy ? 'Backing up …' : 'Back up now'}
        </Button>
      </div>
      <Problems problems={problems} />
    </>
  )
}

/** The copies there are, each to be looked into and brought back. */
function Backups(props: WithKeeping) {
  const { keeping, lookInto, restore, page } = props
  const [opened, setOpened] = useState<string | null>(null)
  const moment = momentOf(props)
  const { backups } = keeping
  return (
    <section aria-labelledby="backups-title">
      <h2 className="section" id="backups-title">
        Backups
      </h2>
      <p className="small muted">
        One a day, and one before anything large is changed. The last {keeping.mostBackups} daily ones stay in{' '}
        <code>{keeping.folder}</code>; copy that folder to another computer now and then.
      </p>
      {backups.length === 0 && <p className="muted">The first is made within the hour.</p>}
      <ul className="rows">
        {backups.map(({ name, madeAt, reason, bytes }) => (
          <li key={name}>
            <span className="grow">
              {sentence(moment(madeAt))} <span className="muted small">{reasons[reason]}</span>
            </span>
            <span className="small muted">{bytesInWords(bytes)}</span>
            <Button
              variant="quiet"
              size="sm"
              aria-label={`Bring back the backup made ${moment(madeAt)}`}
              onClick={() => setOpened(name)}
            >
              Bring back
            </Button>
          </li>
        ))}
      </ul>
      {opened && (
        <BringBack
          name={opened}
          made={moment(backups.find(({ name }) => name === opened)?.madeAt ?? page.now)}
          lookInto={lookInto}
          restore={restore}
          onClose={() => setOpened(null)}
        />
      )}
    </section>
  )
}
