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
        Game finished{finished && finished.games > 0 && <span className="figure"> {finished.games}</span>}
      </Button>
      {finished?.last && finished.games > 0 && (
        <Button
          variant="quiet"
          size="sm"
          disabled={!enabled}
          aria-label={`One fewer finished at ${title}`}
          onClick={() => onUnfinished(finished.last!.id)}
        >
          −
        </Button>
      )}
      {like(true, 'Liked')}
      {like(false, 'Not liked')}
    </div>
  )
}
