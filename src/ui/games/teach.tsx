import { moveOf } from '@/core/teaching/moves'
import type { gamePage } from '@/server/games/game'

type Page = Awaited<ReturnType<typeof gamePage>>

/** What to look and listen for, what to say, and what to teach when something goes astray. */
export function Teach({ page: { texts } }: { page: Page }) {
  return (
    <>
      <div className="figures teach">
        <p className="i-can">“{texts.iCan}”</p>
        <p className="muted">Words to use: {texts.words.join(', ')}.</p>
        <h2 className="section">If you see</h2>
        {texts.misconceptions.map(({ seen, ask, move }) => {
          const { title, need, do: lines, say, worked } = moveOf(move)
          return (
            <section key={seen} className="misconception">
              <h3>{seen}</h3>
              <p>Ask: “{ask}”</p>
              <details>
                <summary>Three minutes: {title}</summary>
                <p className="muted small">You need {need}.</p>
                <ol>
                  {lines.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ol>
                <p>Say: “{say}”</p>
                <p className="muted small">It has worked when: {worked}</p>
              </details>
            </section>
          )
        })}
        <h2 className="section">To talk about</h2>
        <p>“{texts.talk}”</p>
      </div>
      <div className="game-side">
        <h2 className="section">Look for</h2>
        <ul className="plain-list small">
          {texts.lookFors.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {(
          [
            ['Stuck?', texts.stuck],
            ['Easier', texts.easier],
            ['Harder', texts.harder],
            ['Done early?', texts.finishEarly],
            ['At home', texts.home],
          ] as const
        ).map(([title, words]) => (
          <div key={title}>
            <h2 className="section">{title}</h2>
            <p className="small">{words}</p>
          </div>
        ))}
      </div>
    </>
  )
}
