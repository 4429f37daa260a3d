'use client'

import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { seededChance } from '@/core/chance/chance'
import { stepOf, type StepPlace } from '@/core/skills'
import type { Coinage } from '@/core/skills/coins'
import { documents, statementsFor } from '@/core/skills/curricula'
import { strategiesFor } from '@/core/skills/strategies'
import { taskFor } from '@/core/skills/tasks'
import { teachingFor } from '@/core/teaching/steps'
import { MarkSign } from '../run/child-row'

/** A task at the step the child works on: what to say, what lies there, what each mark looks like. */
export function TaskCard({ place, seed, coinage }: { place: StepPlace; seed: number; coinage: Coinage }) {
  const [turn, setTurn] = useState(0)
  const { say, do: needed } = taskFor(place, seededChance(seed + turn), coinage)
  const { marks } = stepOf(place)
  const { table, oral, words } = teachingFor(place)
  const served = statementsFor(place)
  const listenFor = strategiesFor(place)
  return (
    <section className="task-card" aria-label="A task to try">
      <h2 className="section">A task to try</h2>
      <div className="task" role="status">
        {needed && <p className="muted small">{needed}</p>}
        <p className="task-say">“{say}”</p>
      </div>
      <ul className="rows small">
        {(['own', 'help', 'notYet'] as const).map((judged) => (
          <li key={judged}>
            <MarkSign judged={judged} />
            <span className="grow">{marks[judged]}</span>
          </li>
        ))}
      </ul>
      {listenFor.length > 0 && (
        <p className="small muted listen">
          Listen for how:{' '}
          {listenFor.map(({ id, title, heard }, index) => (
            <span key={id} title={heard}>
              {index > 0 && '; '}
              {title}
            </span>
          ))}
          .
        </p>
      )}
      <details className="small">
        <summary>Ten minutes at your table</summary>
        <p className="muted">
          You need {table.need}. Words: {words.join(', ')}.
        </p>
        <ol>
          {table.lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
        <p>
          Say: “{table.say}” Look for: {table.lookFor}
        </p>
      </details>
      <details className="small">
        <summary>Two minutes on the carpet</summary>
        <p>{oral}</p>
      </details>
      <div className="task-foot">
        <Button variant="quiet" size="sm" onClick={() => setTurn(turn + 1)}>
          Other numbers
        </Button>
        {served.length > 0 && (
          <span className="muted small serves">
            Serves{' '}
            {served.map(({ document, code, asks }) => (
              <span key={code} title={`${documents[document]}: ${asks}`}>
                {code}
              </span>
            ))}
          </span>
        )}
      </div>
    </section>
  )
}
