import type { ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import { strandOf, type StrandId } from '@/core/skills'
import { KeysButton } from '../keys/keys-button'
import { NotStored } from '../run/not-stored'
import { savedInWords } from '../run/saved-in-words'
import type { SetAside } from '../run/outbox-store'

/** Where the answers of this device stand. */
type Kept = Parameters<typeof savedInWords>[0] & {
  aside: readonly SetAside[]
  retry: () => void
  letGo: () => void
}

/** Round a check, of one child or of several: who is asked about what, what is saved, and what can be done besides marking. */
export function CheckFrame({
  who,
  strand,
  count,
  kept,
  names,
  marking,
  extra,
  canUndo,
  onFinish,
  onOtherNumbers,
  onUndo,
  onSkip,
  children,
}: {
  who: string
  /** Which strand is asked about; null: the check is over. */
  strand: StrandId | null
  /** How much was asked or answered, in words. */
  count: string
  kept: Kept
  /** Of the children, by their ids. */
  names: ReadonlyMap<string, string>
  /** What is tapped for what was seen. */
  marking: ReactNode
  /** Before the other actions under it. */
  extra: ReactNode
  canUndo: boolean
  onFinish: () => void
  onOtherNumbers: () => void
  onUndo: () => void
  onSkip: () => void
  /** The task, or what came of it. */
  children: ReactNode
}) {
  return (
    <div className="check">
      <header className="check-bar">
        <strong>{who}</strong>
        <span className="muted small grow">
          {strand ? strandOf(strand).title : 'done'} · {count}
        </span>
        <span className="small" role="status">
          {savedInWords(kept)}
        </span>
        {strand && (
          <Button variant="quiet" onClick={onFinish}>
            Finish
          </Button>
        )}
        <KeysButton />
      </header>
      <main className="check-main">
        {kept.aside.length > 0 && (
          <NotStored aside={kept.aside} names={names} onRetry={kept.retry} onLetGo={kept.letGo} />
        )}
        {children}
      </main>
      <footer className="check-foot">
        {strand && marking}
        <div className="button-row">
          {strand && extra}
          {strand && (
            <Button variant="plain" onClick={onOtherNumbers}>
              Other numbers
            </Button>
          )}
          <span className="grow" />
          <Button variant="plain" disabled={!canUndo} onClick={onUndo}>
            Undo
          </Button>
          {strand && (
            <Button variant="plain" onClick={onSkip}>
              Skip {strandOf(strand).title.toLowerCase()}
            </Button>
          )}
        </div>
      </footer>
    </div>
  )
}
