import Link from 'next/link'
import type { gamePage } from '@/server/games'
import { Board } from '../board/board'
import { many, minutesInWords } from '../words'
import { ChildStep } from './child-step'

type Page = Awaited<ReturnType<typeof gamePage>>

/** The table after a few goes, and what an adult does and says to begin: enough to run it from this page alone. */
export function HowToPlay({ classId, page }: { classId: string; page: Page }) {
  const { game, level, texts, materials, pages, around, pictures } = page
  return (
    <>
      <div className="figures how-to">
        <div className="game-table">
          {pictures ? (
            <Board {...pictures.table} name={`${game.title}, ${level.title}`} />
          ) : (
            <p className="muted">With these rules the picture takes too long to find.</p>
          )}
        </div>
        <dl className="set-up">
          <dt>Set up</dt>
          <dd>
            {texts.setUp} <small className="muted">Takes {minutesInWords(around.setUp)}.</small>
          </dd>
          <dt>Start</dt>
          <dd>{texts.start}</dd>
          <dt>End</dt>
          <dd>{texts.end}</dd>
        </dl>
        <h2 className="section">Rules</h2>
        <ol className="rules">
          {texts.rules.map((rule) => (
            <li key={rule}>{rule}</li>
          ))}
        </ol>
        {texts.cautions.map((caution) => (
          <p key={caution} className="caution">
            {caution} Follow your school’s own risk assessment.
          </p>
        ))}
      </div>
      <div className="game-side">
        <h2 className="section">What children do</h2>
        <ol className="child-steps">
          {texts.steps.map((step, i) => (
            <ChildStep key={step[1]} step={step} picture={pictures?.steps[i] ?? null} />
          ))}
        </ol>
        <h2 className="section">For {materials.children} children</h2>
        <p className="small">{materials.needs.map(({ count, item }) => `${count} × ${item}`).join(', ')}</p>
        <p>
          <Link
            className="btn btn-quiet"
            href={`/c/${classId}/print?game=${game.id}&level=${level.id}&children=${materials.children}`}
            prefetch={false}
          >
            {pages === null ? 'Print' : pages === 0 ? 'All in the bag' : `Print ${many(pages, 'page')}`}
          </Link>
        </p>
        <p className="small">
          <Link href={`/c/${classId}/train/${game.id}?level=${level.id}`}>Practise marking it</Link>
        </p>
      </div>
    </>
  )
}
