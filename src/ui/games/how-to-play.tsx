import { Suspense } from 'react'
import Link from 'next/link'
import type { StepPicture } from '@/core/games/playing/step-pictures'
import type { gamePage } from '@/server/games/game'
import type { picturesOf } from '@/server/pictures'
import { Board } from '../board/board'
import { many, minutesInWords } from '../words'
import { ChildStep } from './child-step'

type Page = Awaited<ReturnType<typeof gamePage>>
export type Pictures = ReturnType<typeof picturesOf>

/** The table after a few goes, and what an adult does and says to begin: enough to run it from this page alone. */
export function HowToPlay({ classId, page, pictures }: { classId: string; page: Page; pictures: Pictures }) {
  const { game, level, texts, materials, pages, around } = page
  return (
    <>
      <div className="figures how-to">
        <div className="game-table">
          <Suspense fallback={<p className="muted">Drawing the table …</p>}>
            <LevelBoard pictures={pictures} name={`${game.title}, ${level.title}`} />
          </Suspense>
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
        <Suspense fallback={<Steps steps={texts.steps} pictures={null} />}>
          <StepsAsFound steps={texts.steps} pictures={pictures} />
        </Suspense>
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

async function LevelBoard({ pictures, name }: { pictures: Pictures; name: string }) {
  const found = await pictures
  return found ? (
    <Board {...found.table} name={name} />
  ) : (
    <p className="muted">The picture of these rules takes too long to find.</p>
  )
}

type StepList = Page['texts']['steps']

async function StepsAsFound({ steps, pictures }: { steps: StepList; pictures: Pictures }) {
  return <Steps steps={steps} pictures={(await pictures)?.steps ?? null} />
}

function Steps({ steps, pictures }: { steps: StepList; pictures: readonly (StepPicture | null)[] | null }) {
  return (
    <ol className="child-steps">
      {steps.map((step, i) => (
        <ChildStep key={step[1]} step={step} picture={pictures?.[i] ?? null} />
      ))}
    </ol>
  )
}
