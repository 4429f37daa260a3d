'use client'

import Link from 'next/link'
import Button from 'react-bootstrap/Button'
import type { GroupingMode } from '@/core/grouping/making/mode'
import type { GroupsPage } from '@/server/groups/groups'
import { dayInShort } from '../words'
import type { useMaking } from './use-making'

const modeWords: Partial<Record<GroupingMode, string>> = {
  mixed: ', own ranges in mixed groups',
  pairs: ', in pairs',
}

/** How well the groups fit, what they are, and the next thing to do with them. */
export function Headline({
  classId,
  title,
  game,
  mode,
  version,
  changed,
  search,
  busy,
  suggested,
  onSave,
  onSuggest,
  children,
}: {
  classId: string
  title: string
  game: string
  mode: GroupingMode
  version: GroupsPage['version']
  changed: boolean
  search: Pick<ReturnType<typeof useMaking>, 'busy' | 'doing' | 'done' | 'stop'>
  busy: boolean
  /** Moves were suggested: the next thing is to accept them. */
  suggested: boolean
  onSave: () => void
  onSuggest: () => void
  /** Where the draft stands. */
  children: React.ReactNode
}) {
  // Moves are looked for from one level to the next; own ranges have no such moves.
  const movable = modeWords[mode] === undefined
  return (
    <div className="headline">
      <div>
        <h1>{title}</h1>
        <p>
          {game}
          {modeWords[mode]} · {versionInWords(version, changed)}
        </p>
        {children}
      </div>
      {search.busy ? (
        <div className="filling" role="status">
          <span className="small muted">
            {search.doing === 'moves' ? 'Looking for moves …' : 'Trying groups …'}
          </span>
          {/* How long groups take nobody knows: without a value it only shows that something goes on. */}
          <progress value={search.doing === 'moves' ? search.done : undefined} aria-label="Search" />
          <Button variant="quiet" size="sm" onClick={search.stop}>
            Stop
          </Button>
        </div>
      ) : changed ? (
        <Button disabled={busy} onClick={onSave}>
          {busy ? 'One moment …' : 'Use these groups'}
        </Button>
      ) : (
        <>
          <Link className="btn btn-plain" href={`/c/${classId}/print?for=home`} prefetch={false}>
            Games for home
          </Link>
          <Link className={movable ? 'btn btn-quiet' : 'btn btn-primary'} href={`/c/${classId}/plan`}>
            To the plan
          </Link>
          {movable && (
            <Button variant={suggested ? 'quiet' : 'primary'} disabled={busy} onClick={onSuggest}>
              Suggest moves
            </Button>
          )}
        </>
      )}
    </div>
  )
}

function versionInWords(version: GroupsPage['version'], changed: boolean): string {
  if (!version) return 'a first proposal, not in use yet'
  return changed
    ? `changed from version ${version.number}, not in use yet`
    : `version ${version.number}, since ${dayInShort(version.day)}`
}
