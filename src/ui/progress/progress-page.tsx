'use client'

import Link from 'next/link'
import type { MovingUp } from '@/core/evidence/moving-up'
import { stepOf, strandOf } from '@/core/skills'
import type { Action } from '@/server/answer'
import type { ProgressPage as Page } from '@/server/progress'
import type { tapClock } from '@/server/run'
import { SuggestionList } from './suggestion-list'
import { BandChart } from '../charts/band-chart'
import { Reopen } from '../run/reopen'
import { spelledAtStart, spelled, many } from '../words'

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`

/** What the suggestions come from, in the class's house style. */
function movingUpInWords(movingUp: MovingUp): string {
  switch (movingUp.by) {
    case 'estimate':
      return 'Suggested by the estimate.'
    case 'count':
      return `Suggested by counting: ${movingUp.own} of the last ${movingUp.of} alone, on ${many(movingUp.days, 'day')}.`
    case 'judgement':
      return 'Estimate and counting stand behind “Why”.'
  }
}

/** Who is ready, who needs another look, and how each child's estimate moved. */
export function ProgressPage({
  classId,
  page,
  tapClock: tap,
}: {
  classId: string
  page: Page
  tapClock: Action<typeof tapClock>
}) {
  const { suggestions, movingUp, children, strand, followed, weeks, ended, today, groups } = page
  const ready = suggestions.filter(({ suggestion }) => suggestion.kind === 'ready').length
  const back = suggestions.filter(({ suggestion }) => suggestion.kind === 'hard').length
  const look = suggestions.length - ready - back
  const others = [
    back > 0 && `${spelled(back)} ${back === 1 ? 'finds' : 'find'} their step hard`,
    look > 0 && `${spelled(look)} need${look === 1 ? 's' : ''} another look`,
  ].filter(Boolean)
  return (
    <>
      {ended && (
        <div className="just-ended small" role="status">
          <span className="grow">The session has ended. Ended too soon?</span>
          <Reopen classId={classId} sessionId={ended} tapClock={tap} />
        </div>
      )}
      <div className="headline">
        <div>
          <h1>
            {children.length === 0
              ? 'No children yet'
              : movingUp.by === 'judgement'
                ? 'You decide who moves up'
                : ready === 0
                  ? 'Nobody is ready to move yet'
                  : `${spelledAtStart(ready)} may be ready to move`}
          </h1>
          <p>
            {others.length > 0 ? sentence(others.join(', ')) : 'Nothing else stands out.'}{' '}
            {movingUpInWords(movingUp)} Nothing moves a child by itself.
          </p>
        </div>
        <Link className="btn btn-primary" href={`/c/${classId}/groups${groups?.movable ? '?moves' : ''}`}>
          {groups === null ? 'Make groups' : groups.movable ? 'Review moves' : 'To the groups'}
        </Link>
      </div>
      <div className="columns">
        <section className="reasons" aria-label="Suggestions">
          <SuggestionList classId={classId} suggestions={suggestions} />
          {suggestions.length === 0 && <p className="muted">Marks from the next session will say more.</p>}
        </section>
        <section className="bands" aria-label={`Estimates over time, ${strandOf(strand).title}`}>
          <p className="strand-choice">
            {followed.map((id) => (
              <Link
                key={id}
                href={`/c/${classId}/progress?strand=${id}`}
                aria-current={id === strand ? 'true' : undefined}
                scroll={false}
              >
                {strandOf(id).title}
              </Link>
            ))}
            <span className="tiny muted">{weeks} weeks</span>
          </p>
          <ul className="band-grid">
            {children.map(({ id, name, band, workingStep }) => (
              <li key={id}>
                <Link href={`/c/${classId}/children/${id}`} prefetch={false}>
                  <span>
                    <strong>{name}</strong>
                    <small>
                      {workingStep === null ? 'all secure' : stepOf({ strand, step: workingStep }).short}
                    </small>
                  </span>
                  <BandChart strand={strand} points={band} today={today} width={142} height={56} />
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  )
}
