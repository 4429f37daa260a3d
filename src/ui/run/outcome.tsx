import Button from 'react-bootstrap/Button'

/** How it went at a visit: games that were finished, by one tap each, and whether the group liked the game. */
export function Outcome({
  title,
  games,
  liked,
  enabled,
  onFinished,
  onLiked,
}: {
  /** Of the game. */
  title: string
  games: number
  liked: boolean | undefined
  enabled: boolean
  onFinished: () => void
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
        Game finished{games > 0 && <span className="figure"> {games}</span>}
      </Button>
      {like(true, 'Liked')}
      {like(false, 'Not liked')}
    </div>
  )
}
