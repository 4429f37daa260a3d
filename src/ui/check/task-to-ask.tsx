import { judgements } from '@/core/evidence/observation'
import { stepOf, type StepPlace } from '@/core/skills'
import type { Task } from '@/core/skills/tasks'
import { stimulusFor } from '@/core/teaching/stimulus'
import { MarkSign } from '../run/child-row'
import { StimulusView } from './stimulus-view'

export const markNames = { own: 'own', help: 'help', notYet: 'not yet' } as const

/** A task as the adult gives it: what is looked at, done and said, and what each mark looks like. */
export function TaskToAsk({ place, task }: { place: StepPlace; task: Task }) {
  const stimulus = stimulusFor(task.item)
  return (
    <>
      {stimulus && <StimulusView stimulus={stimulus} />}
      {task.do && <p className="check-do">{task.do}</p>}
      <h1 className="check-say" data-step={place.step}>
        “{task.say}”
      </h1>
      <dl className="check-look small">
        {judgements.map((judged) => (
          <div key={judged}>
            <dt>
              <MarkSign judged={judged} /> {markNames[judged]}
            </dt>
            <dd>{stepOf(place).marks[judged]}</dd>
          </div>
        ))}
      </dl>
    </>
  )
}
