import Link from 'next/link'
import { stepOf, strandOf } from '@/core/skills'
import { groupNames } from '@/core/grouping/pennants'
import type { Action } from '@/server/answer'
import type { takeNoteAway as takeAway } from '@/server/notes'
import type { childPage } from '@/server/progress'
import { BandChart } from '../charts/band-chart'
import { Pennant } from '../pennant'
import { slipInWords } from '../show/in-words'
import { MarkSign } from '../run/child-row'
import { dayInShort, fitInWords, reasonInWords } from '../words'
import { ChildDetails, type ChildActions } from './child-details'
import { Notes } from './notes'
import { TaskCard } from './task-card'
import { Why } from './why'

type Page = Awaited<ReturnType<typeof childPage>>

const judgedWords = { own: 'on their own', help: 'with help', notYet: 'not yet' } as const

/** One child: what is believed on each strand, how it moved, and every record it rests on. */
export function ChildPage({
  classId,
  page,
  takeNoteAway,
  ...actions
}: ChildActions & { classId: string; page: Page; takeNoteAway: Action<typeof takeAway> }) {
  const { child, suggestion, weighed, movingUp, coinage, group, strands, records, today } = page
  const place = { strand: suggestion.strand, step: suggestion.step }
  return (
    <>
      <div className="headline">
        <div>
          {group && (
            <p className="kicker">
              <Pennant number={group.pennant} /> {groupNames[group.pennant]} · {group.game}, {group.level}
            </p>
          )}
          <h1>
            {child.name} {reasonInWords(suggestion.suggestion, suggestion.strand, suggestion.step)}
          </h1>
          {suggestion.fits && <p>{fitInWords(suggestion.fits)}</p>}
          <p>
            The line is the best guess, the band holds it eight times in ten. With each new mark the child is
            first taken to have come on as children usually do since the last one, two weeks of it at most;
            then the mark counts.
          </p>
        </div>
        <div className="button-row">
          <Link className="btn btn-quiet" href={`/c/${classId}/check/${child.id}`} prefetch={false}>
            Quick check
          </Link>
          <Link className="btn btn-quiet" href={`/c/${classId}/print?child=${child.id}`} prefetch={false}>
            A game for home
          </Link>
          <Link className="btn btn-primary" href={`/c/${classId}/groups`}>
            To groups
          </Link>
        </div>
      </div>
      <div className="columns child-columns">
        <div>
          {strands.map(({ strand, estimate, band }) => (
            <figure key={strand} className="chart">
              <figcaption>
                <h2 className="section">
                  {strandOf(strand).title}:{' '}
                  {estimate.workingStep === null
                    ? 'every step secure'
                    : `next to secure, ${stepOf({ strand, step: estimate.workingStep }).short}`}{' '}
                  <small>
                    {estimate.observations === 0
                      ? 'placed, nothing seen yet'
                      : `from ${estimate.observations} record${estimate.observations === 1 ? '' : 's'}`}
                  </small>
                </h2>
              </figcaption>
              <BandChart strand={strand} points={band} today={today} width={720} height={190} full />
            </figure>
          ))}
        </div>
        <div className="beside">
          <TaskCard place={place} seed={Number.parseInt(child.id.slice(0, 6), 16)} coinage={coinage} />
          {weighed && <Why weighed={weighed} at={stepOf(place).short} speaks={movingUp.by} />}
          <section className="evidence" aria-label="Evidence">
            <h2 className="section">What was seen</h2>
            {records.length === 0 && (
              <p className="muted">Nothing yet. Marks of a session stand here with their day.</p>
            )}
            <ul className="rows small">
              {records.map(
                ({ id, strand, step, judged, right, of, digital, slips, how, byHelper, schoolDay, at }) => (
                  <li key={id}>
                    {judged ? <MarkSign judged={judged} /> : <span className="tally-sign" aria-hidden />}
                    <span className="grow">
                      {stepOf({ strand, step }).short}:{' '}
                      {judged ? judgedWords[judged] : `${right} of ${of} right`}
                      {digital && <span className="digital-sign">digital</span>}
                      {slips.map(({ reason }) => (
                        <span key={reason} className="slip-line muted">
                          {slipInWords[reason]}
                        </span>
                      ))}
                      {how && (
                        <span className="slip-line muted">
                          {[
                            how.strategy,
                            how.objects && 'needed objects',
                            how.explained && 'explained clearly',
                          ]
                            .filter(Boolean)
                            .join(', ')}
                        </span>
                      )}
                      {byHelper && <span className="muted"> · seen by a helper</span>}
                      {at && (
                        <span className="muted">
                          {' '}
                          · {at.game}, slot {at.slot}
                        </span>
                      )}
                    </span>
                    <span className="muted">{dayInShort(schoolDay)}</span>
                  </li>
                ),
              )}
            </ul>
            {page.more && <p className="muted small">and older ones</p>}
          </section>
          <Notes classId={classId} notes={page.notes} takeAway={takeNoteAway} />
          <ChildDetails key={child.name} classId={classId} child={child} {...actions} />
        </div>
      </div>
    </>
  )
}
