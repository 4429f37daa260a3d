import Link from 'next/link'
import { stepOf, strandOf } from '@/core/skills'
import { groupNames } from '@/core/grouping/pennants'
import type { Action } from '@/server/answer'
import type { correctRecord as correct } from '@/server/marks/correct'
import type { takeNoteAway as takeAway } from '@/server/notes'
import type { childPage } from '@/server/progress'
import { BandChart } from '../charts/band-chart'
import { Pennant } from '../pennant'
import { fitInWords, reasonInWords } from '../words'
import { ChildDetails, type ChildActions } from './child-details'
import { Notes } from './notes'
import { Records } from './records'
import { TaskCard } from './task-card'
import { Why } from './why'

/** A chart is drawn for a desk and for a phone; the style sheet shows one of them. */
const chartWidths = [
  { at: 'wide-chart', width: 720 },
  { at: 'narrow-chart', width: 343 },
]

type Page = Awaited<ReturnType<typeof childPage>>

/** One child: what is believed on each strand, how it moved, and every record it rests on. */
export function ChildPage({
  classId,
  page,
  takeNoteAway,
  correctRecord,
  ...actions
}: ChildActions & {
  classId: string
  page: Page
  takeNoteAway: Action<typeof takeAway>
  correctRecord: Action<typeof correct>
}) {
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
              {chartWidths.map(({ at, width }) => (
                <div key={at} className={at}>
                  <BandChart strand={strand} points={band} today={today} width={width} height={190} full />
                </div>
              ))}
            </figure>
          ))}
        </div>
        <div className="beside">
          <TaskCard place={place} seed={Number.parseInt(child.id.slice(0, 6), 16)} coinage={coinage} />
          {weighed && <Why weighed={weighed} at={stepOf(place).short} speaks={movingUp.by} />}
          <Records
            classId={classId}
            pupilId={child.id}
            records={records}
            takenBack={page.takenBack}
            more={page.more}
            correctRecord={correctRecord}
          />
          <Notes classId={classId} notes={page.notes} takeAway={takeNoteAway} />
          <ChildDetails key={child.name} classId={classId} child={child} {...actions} />
        </div>
      </div>
    </>
  )
}
