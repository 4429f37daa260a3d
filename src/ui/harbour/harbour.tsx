'use client'

import Link from 'next/link'
import { groupNames } from '@/core/grouping/pennants'
import type { Action } from '@/server/answer'
import type { HarbourPage } from '@/server/harbour'
import type { letGo, moveToToday } from '@/server/plan/plan'
import type { heldOnPaper, tapClock } from '@/server/run'
import { spelledAtStart, dayInWords, spelled, inHundred, many, reasonInWords } from '../words'
import { HeldSessions } from './held-sessions'
import { LeftOpen } from './left-open'
import { leftOpenInWords } from './left-open-in-words'
import { NotHeld, PaperButton } from './not-held'
import { SeaChart } from './sea-chart'
import { StationList } from './station-list'

const footOf = ({ slot, slots, from, to }: NonNullable<HarbourPage['session']>) =>
  `Slot ${slot + 1} of ${slots} · ${from} to ${to}`

/** The first thing in the morning: what is next, what to prepare, whom to look at. */
export function Harbour({
  classId,
  page,
  tapClock: tap,
  moveToToday: move,
  letGo: drop,
  heldOnPaper: onPaper,
}: {
  classId: string
  page: HarbourPage
  tapClock: Action<typeof tapClock>
  moveToToday: Action<typeof moveToToday>
  letGo: Action<typeof letGo>
  heldOnPaper: Action<typeof heldOnPaper>
}) {
  const next = nextStep(classId, page)
  const { session } = page
  return (
    <>
      <div className="headline">
        <div>
          <h1>{next.title}</h1>
          <p>{next.why}</p>
        </div>
        {session?.notHeld ? (
          <NotHeld
            classId={classId}
            sessionId={session.id}
            moveToToday={move}
            letGo={drop}
            heldOnPaper={onPaper}
          />
        ) : session?.leftOpen ? (
          <LeftOpen classId={classId} left={session} tapClock={tap} />
        ) : (
          <div className="button-row">
            {session?.over && <PaperButton classId={classId} sessionId={session.id} heldOnPaper={onPaper} />}
            <Link className="btn btn-primary" href={next.address}>
              {next.action}
            </Link>
          </div>
        )}
      </div>
      {session && (
        <div className="columns">
          <div>
            <SeaChart stations={session.stations} foot={footOf(session)} />
            <StationList stations={session.stations} foot={footOf(session)} />
            <p className="visually-hidden">
              {session.stations
                .map(
                  ({ title, pennants }) =>
                    `${title}: ${pennants.map((number) => groupNames[number]).join(', ') || 'empty'}`,
                )
                .join('. ')}
            </p>
          </div>
          <div className="harbour-side">
            {!session.leftOpen && <ToPrepare classId={classId} session={session} />}
            <ToLookAt classId={classId} found={page.toLookAt} />
          </div>
        </div>
      )}
      {!session && page.toLookAt.length > 0 && (
        <div className="harbour-side alone">
          <ToLookAt classId={classId} found={page.toLookAt} />
        </div>
      )}
      <HeldSessions classId={classId} held={page.held} tapClock={tap} />
    </>
  )
}

/** Who stands out, with why. */
function ToLookAt({ classId, found }: { classId: string; found: HarbourPage['toLookAt'] }) {
  return (
    <>
      <h2 className="section">Children to look at</h2>
      {found.length === 0 && (
        <p className="muted">Nobody stands out. Marks of the next session will say more.</p>
      )}
      <ul className="rows">
        {found.map(({ id, name, suggestion, strand, step }) => (
          <li key={id}>
            <strong className="child-col">{name}</strong>
            <span className="grow small">{reasonInWords(suggestion, strand, step)}</span>
            <Link
              className="btn btn-plain btn-sm"
              href={`/c/${classId}/children/${id}`}
              aria-label={`Look at ${name}`}
              prefetch={false}
            >
              Look
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}

/** What a session takes: what to lay out, to print and to show. */
function ToPrepare({ classId, session }: { classId: string; session: NonNullable<HarbourPage['session']> }) {
  return (
    <>
      <h2 className="section">To prepare</h2>
      <ul className="rows">
        {session.unlikely.length > 0 && (
          <li>
            <div className="grow">
              <strong>{session.unlikely[0].station} may not end in its slot</strong>
              <div className="small muted">
                It ends {inHundred(Math.min(...session.unlikely.map(({ finishInSlot }) => finishInSlot)))}{' '}
                times in 100
                {session.unlikely.length > 1 && `; ${many(session.unlikely.length, 'visit')} in all`}.
              </div>
            </div>
            <Link className="btn btn-quiet btn-sm" href={`/c/${classId}/plan`}>
              Look
            </Link>
          </li>
        )}
        <li>
          <div className="grow">
            <strong>
              {spelledAtStart(session.stations.length)}{' '}
              {session.stations.length === 1 ? 'station' : 'stations'} to lay out
            </strong>
            <div className="small muted">{mostOf(session.needs)}</div>
          </div>
          <Link
            className="btn btn-quiet btn-sm"
            href={`/c/${classId}/plan`}
            aria-label="List materials by station"
          >
            List
          </Link>
        </li>
        {session.pages !== 0 && (
          <li>
            <div className="grow">
              <strong>
                {session.pages === null
                  ? 'Boards and cards to print'
                  : `${many(session.pages, 'page')} to print`}
              </strong>
              <div className="small muted">What the bags hold already is left out.</div>
            </div>
            <Link className="btn btn-quiet btn-sm" href={`/c/${classId}/print`} prefetch={false}>
              Print
            </Link>
          </li>
        )}
        <li>
          <div className="grow">
            <strong>Show the games</strong>
            <div className="small">
              {session.stations.map(({ title, gameId, levelId }, position) => (
                <span key={position}>
                  {position > 0 && ' · '}
                  <Link
                    href={`/c/${classId}/show/${gameId}${levelId === null ? '' : `?level=${levelId}`}`}
                    aria-label={`Show ${title}`}
                    prefetch={false}
                  >
                    {title}
                  </Link>
                </span>
              ))}
            </div>
          </div>
          <Link className="btn btn-quiet btn-sm" href={`/c/${classId}/tools`} prefetch={false}>
            Tools
          </Link>
        </li>
      </ul>
    </>
  )
}

/** So many materials are named; the whole list stands in the plan. */
const mostNamed = 4

function mostOf(needs: readonly { item: string; count: number }[]): string {
  // One more is named rather than told of.
  const named = needs.length === mostNamed + 1 ? needs : needs.slice(0, mostNamed)
  const more = needs.length - named.length
  return `${named.map(({ count, item }) => `${count} × ${item}`).join(', ')}${more > 0 ? ` and ${spelled(more)} more kinds` : ''}`
}

/** The one thing to do next. */
function nextStep(classId: string, { children, hasGroups, session }: HarbourPage) {
  const at = (part: string) => `/c/${classId}/${part}`
  if (children === 0)
    return {
      title: 'No children yet',
      why: 'Paste first names; a nickname will do.',
      action: 'Add children',
      address: at('class'),
    }
  if (!hasGroups)
    return {
      title: `${many(children, 'child', 'children')}, no groups yet`,
      why: 'A first proposal is ready to look at: groups and levels chosen together.',
      action: 'Make groups',
      address: at('groups'),
    }
  if (!session)
    return {
      title: 'Nothing planned',
      why: 'The groups stand. A session is a minute’s work: stations, slots, ready.',
      action: 'Plan a session',
      address: at('plan'),
    }
  if (session.notHeld)
    return {
      title: `The session of ${dayInWords(session.day)} was not held`,
      why: 'It was planned and never begun. Move it to today, or let it go: nothing was marked in it.',
      action: 'To the plan',
      address: at('plan'),
    }
  if (session.leftOpen) return { ...leftOpenInWords(session), action: 'To the session', address: at('run') }
  const when = session.today ? `${session.startsAt} today` : `${dayInWords(session.day)}, ${session.startsAt}`
  const toPrepare = 1 + (session.unlikely.length > 0 ? 1 : 0) + (session.pages === 0 ? 0 : 1)
  return {
    title:
      session.state === 'running'
        ? `Slot ${session.slot + 1} of ${session.slots} is under way`
        : `${when}, ${many(session.stations.length, 'station')}, ${many(toPrepare, 'thing')} to prepare`,
    why:
      session.state === 'running'
        ? 'The clock runs and every mark is kept.'
        : 'Who is where in the first slot, and what it takes.',
    action: session.state === 'running' ? 'Back to the session' : 'Open the session',
    address: at('run'),
  }
}
