import Link from 'next/link'
import type { Action } from '@/server/answer'
import type { gamePage, GameView, stopWaiting as stop } from '@/server/games/game'
import { GameFigures, headingFor } from './game-figures'
import { HowToPlay, type Pictures } from './how-to-play'
import { NoLevelFits, someOf } from './no-level-fits'
import { Teach } from './teach'

type Page = Awaited<ReturnType<typeof gamePage>>

const views: Record<GameView, string> = { play: 'How to play', teach: 'Teach', figures: 'Figures' }

/** A game at one level: how it is played, how it is taught, what it comes to in a slot. */
export function GamePage({
  classId,
  page,
  pictures,
  stopWaiting,
}: {
  classId: string
  page: Page
  /** Of how it is played; null where another view is looked at. */
  pictures: Pictures | null
  stopWaiting: Action<typeof stop>
}) {
  const { game, level, levels, figures, input, slotMinutes, changed, view } = page
  const own = `/c/${classId}/games/${game.id}`
  const keep = `slot=${slotMinutes}&players=${input.players}`
  const rules = changed === null ? '' : `&rules=${encodeURIComponent(JSON.stringify(changed))}`
  const heading = headingFor(page)
  return (
    <>
      <div className="headline">
        <div>
          <p className="kicker">
            {figures ? `${game.title} · ${level.title}` : game.title}
            {changed !== null && ' · rules changed'}
          </p>
          <h1>{figures ? heading : level.title}</h1>
          <p>{figures ? game.summary : heading && `${heading}.`}</p>
        </div>
        <div className="headline-buttons">
          <Link className="btn btn-quiet" href={`/c/${classId}/show/${game.id}?level=${level.id}`}>
            Show
          </Link>
          <Link className="btn btn-quiet" href={`/c/${classId}/try/${game.id}?level=${level.id}`}>
            Try
          </Link>
          <Link className="btn btn-primary" href={`/c/${classId}/plan?add=${game.id}`}>
            Put in plan
          </Link>
        </div>
      </div>
      {page.refused.length > 0 && (
        <div className="problem" role="alert">
          The changed rules were refused: {page.refused.join(' ')} The level’s own rules are shown.
        </div>
      )}
      <nav className="views" aria-label="About this level">
        {(Object.keys(views) as GameView[]).map((id) => (
          <Link
            key={id}
            href={`${own}?level=${level.id}&${keep}&view=${id}${rules}`}
            aria-current={id === view ? 'page' : undefined}
          >
            {views[id]}
          </Link>
        ))}
      </nav>
      <div className="columns">
        <nav className="levels" aria-label="Levels">
          <h2 className="section">Levels</h2>
          <ol>
            {levels.map(({ id, title, children: fitting }) => (
              <li key={id}>
                <Link
                  href={`${own}?level=${id}&${keep}&view=${view}`}
                  aria-current={id === level.id ? 'page' : undefined}
                >
                  {title}
                  {fitting.length > 0 && <small>{someOf(fitting)}</small>}
                </Link>
              </li>
            ))}
          </ol>
          <NoLevelFits {...page.noLevel} />
        </nav>
        {pictures && <HowToPlay classId={classId} page={page} pictures={pictures} />}
        {view === 'teach' && <Teach page={page} />}
        {figures && (
          <GameFigures
            classId={classId}
            page={{ ...page, figures }}
            address={`${own}?level=${level.id}`}
            stopWaiting={stopWaiting}
          />
        )}
      </div>
    </>
  )
}
