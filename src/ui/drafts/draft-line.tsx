'use client'

import Button from 'react-bootstrap/Button'
import { useShortcuts } from '../keys/use-shortcuts'
import type { Keeping } from './draft-keeper'
import type { useDraft } from './use-draft'

type DraftTable = Pick<
  ReturnType<typeof useDraft>,
  'keeping' | 'changed' | 'canUndo' | 'canRedo' | 'keepThis' | 'showOther'
>

/** Whether the draft is safe, with the way back and forth; nothing while there is no draft. */
export function DraftLine({
  draft,
  what,
  busy,
  onUndo,
  onRedo,
  onDiscard,
}: {
  draft: DraftTable
  /** “groups”, “plan” */
  what: string
  busy: boolean
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
            ? `These ${what} were changed in another place at ${keeping.there.savedAt}. Neither is lost: the one you leave is one step behind.`
            : `These ${what} were kept or discarded in another place.`}
        </span>
        <Button variant="quiet" size="sm" onClick={draft.showOther}>
          Show those
        </Button>
        <Button size="sm" onClick={draft.keepThis}>
          Go on with these
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
