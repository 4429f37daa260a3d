import Button from 'react-bootstrap/Button'
import type { Finished } from '@/core/live/session'

/** How it went at a visit: games that were finished, by one tap each, and whether the group liked the game. */
export function Outcome({
  title,
  finished,
  liked,
  enabled,
  onFinished,
  onUnfinished,
  onLiked,
}: {
  /** Of the game. */
  title: string
  finished: Finished | null
  liked: boolean | undefined
  enabled: boolean
  onFinished: () => void
  onUnfinished: (game: string) => void
  onLiked: (liked: boolean) => void
}) {
  const last = finished && finished.games > 0 ? finished.last : null
  const like = (value: boolean, words: string) => (
    <Button
      variant="quiet"
      size="sm"
      aria-pressed={liked === value}
      disabled={!enabled}
      onClick={() => onLiked(value)}
    >
      {words}
    </Button>
  )
  return (
    <div className="outcome" role="group" aria-label={`How ${title} went`}>
      <Button variant="quiet" size="sm" disabled={!enabled} onClick={onFinished}>
        Finished <span className="figure">{finished?.games || ''}</span>
      </Button>
      {/* Its place is kept while there is nothing to take back: a tap must not move the children's rows. */}
      <Button
        variant="quiet"
        size="sm"
        className={last ? undefined : 'kept-place'}
        disabled={!enabled || !last}
        aria-label={`One fewer finished at ${title}`}
        onClick={() => last && onUnfinished(last.id)}
      >
        −
      </Button>
      {like(true, 'Liked')}
      {like(false, 'Not liked')}
    </div>
  )
}
