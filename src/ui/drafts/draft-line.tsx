'use client'

import Button from 'react-bootstrap/Button'
import { useShortcuts } from '../keys/use-shortcuts'
import type { Keeping } from './draft-keeper'
import type { useDraft } from './use-draft'

type DraftTable = Pick<
  ReturnType<typeof useDraft>,
  'keeping' | 'changed' | 'canUndo' | 'canRedo' | 'keepThis'
>

/** Whether the draft is safe, with the way back and forth; nothing while there is no draft. */
export function DraftLine({
  draft,
  what,
  busy,
  onShowOther,
  onUndo,
  onRedo,
  onDiscard,
}: {
  draft: DraftTable
  what: 'groups' | 'plan'
  busy: boolean
  /** The other of two drafts that met is to be in view. */
  onShowOther: () => void
  onUndo: () => void
  onRedo: () => void
  onDiscard: () => void
}) {
  const { keeping, changed, canUndo, canRedo } = draft
  useShortcuts([
    { keys: 'Ctrl+z', title: 'One step back', run: () => !busy && onUndo() },
    { keys: 'Ctrl+Shift+z', title: 'One step forth', run: () => !busy && onRedo() },
  ])
  if (keeping.state === 'other')
    return (
      <div className="draft-line other" role="alert">
        <span className="small">
          {keeping.there
            ? `${these[what]} changed in another place at ${keeping.there.savedAt}. Neither is lost: the one you leave is one step behind.`
            : `${these[what]} taken into use or discarded in another place.`}
        </span>
        <Button
          variant="quiet"
          size="sm"
          // What is in use now is not known on this page: it is asked for anew.
          onClick={keeping.there ? onShowOther : () => window.location.reload()}
        >
          {keeping.there ? 'Show the other' : 'Look at it, let mine go'}
        </Button>
        <Button size="sm" onClick={draft.keepThis}>
          Go on with mine
        </Button>
      </div>
    )
  if (!changed && !canUndo && !canRedo) return null
  return (
    <div className="draft-line">
      <span className="small" role="status">
        {changed ? keptInWords(keeping) : 'As in use'}
      </span>
      <Button variant="plain" size="sm" disabled={!canUndo || busy} onClick={onUndo}>
        Undo
      </Button>
      <Button variant="plain" size="sm" disabled={!canRedo || busy} onClick={onRedo}>
        Redo
      </Button>
      <Button variant="plain" size="sm" disabled={busy} onClick={onDiscard}>
        Discard draft
      </Button>
    </div>
  )
}

const these = { groups: 'These groups were', plan: 'This plan was' } as const

/** Whether what is on the table is safe. */
function keptInWords(keeping: Keeping<unknown>): string {
  switch (keeping.state) {
    case 'kept':
      return keeping.at ? `Draft, saved ${keeping.at}` : 'Draft'
    case 'keeping':
      return 'Draft, saving …'
    case 'away':
      return 'Draft on this screen only: no answer from the server, trying again'
    case 'refused':
      return `Draft not saved: ${keeping.problems.join(' ')}`
    case 'other':
      return 'Changed in another place'
  }
}
