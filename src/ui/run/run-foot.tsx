import Button from 'react-bootstrap/Button'
import { shortList } from './board'
import { savedInWords } from './saved-in-words'
import { lineInWords, type useSession } from './use-session'

/** Who was not seen yet, the way back from the last tap, and where marks stand. */
export function RunFoot({ at: { unseen, marks, names, line } }: { at: ReturnType<typeof useSession> }) {
  const broken = lineInWords(line)
  return (
    <footer className="run-foot small">
      <span className="grow ellipsis">
        <strong>{unseen.length === 0 ? 'Everyone seen today' : 'Not seen yet today:'}</strong>{' '}
        {shortList(unseen)}
      </span>
      {marks.last && (
        <Button variant="quiet" size="sm" onClick={marks.undo}>
          Undo {names.get(marks.last.pupilId)}
        </Button>
      )}
      <span className="legend" aria-hidden>
        ● own &nbsp; ◐ help &nbsp; ○ not yet
      </span>
      {broken && <span className="line-state">{broken}</span>}
      <strong className="saved" role="status">
        {savedInWords(marks)}
      </strong>
    </footer>
  )
}
