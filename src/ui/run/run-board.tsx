'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { judgements, type Judgement } from '@/core/evidence/observation'
import { isTimeOver } from '@/core/live/session'
import type { Action } from '@/server/answer'
import type { joinGroup } from '@/server/groups/join'
import type { quickNotePage } from '@/server/notes'
import type { missInBag } from '@/server/print/print'
import type { changeLevelNow, swapSeats } from '@/server/room/at-station'
import type { takeWay, undoReplan, waysToGoOn } from '@/server/room/replan'
import type { endLinks, makeLink } from '@/server/room/links'
import type { tapClock } from '@/server/run'
import type { RunPage } from '@/server/session-board'
import { Problems } from '../problems'
import { useSaving } from '../sheets/use-saving'
import { QuickNote } from '../note/quick-note'
import { useShortcuts } from '../keys/use-shortcuts'
import { keyOf, nextRow, rowsOf } from './board'
import { markWords } from './child-row'
import { HowFar } from './how-far'
import { Newcomers } from './newcomers'
import { NotStored } from './not-stored'
import { OpenChild } from './open-child'
import { RunBar, type ClockTap } from './run-bar'
import { RunFoot } from './run-foot'
import { StationColumn } from './station-column'
import { useAnewEachHour } from './use-anew-each-hour'
import { ofClass } from './use-outbox'
import { useSession } from './use-session'

const LateSheet = dynamic(() => import('./late-sheet').then((module) => module.LateSheet))
const LetInSheet = dynamic(() => import('./let-in-sheet').then((module) => module.LetInSheet))

export interface RunActions {
  tapClock: Action<typeof tapClock>
  joinGroup: Action<typeof joinGroup>
  missInBag: Action<typeof missInBag>
  changeLevel: Action<typeof changeLevelNow>
  swapSeats: Action<typeof swapSeats>
  makeLink: Action<typeof makeLink>
  endLinks: Action<typeof endLinks>
  loadNotes: Action<typeof quickNotePage>
  findWays: Action<typeof waysToGoOn>
  takeWay: Action<typeof takeWay>
  undoReplan: Action<typeof undoReplan>
}

/** The session as it runs: the clock, who is where, one tap for what was seen. */
export function RunBoard({
  classId,
  page,
  address,
  actions,
}: {
  classId: string
  page: RunPage
  /** Where other devices reach this computer; null: they can't. */
  address: string | null
  actions: RunActions
}) {
  const router = useRouter()
  const { times, stations } = page
  const at = useSession(ofClass(classId), `/c/${classId}/live/${page.session.id}`, page)
  const { session, running, marks, visits, absent, names } = at
  useAnewEachHour(at.left)
  const [open, setOpen] = useState<{ visitId: string; pupilId: string } | null>(null)
  const [lettingIn, setLettingIn] = useState(false)
  const [late, setLate] = useState(false)
  const { problems, busy, save } = useSaving()
  const columns = rowsOf(stations, visits)
  /** The one row that Tab comes to; arrows lead from it to the others. */
  const [stop, setStop] = useState<string | null>(null)
  const all = columns.flat()
  const current = all.find((row) => keyOf(row) === stop) ?? all[0]
  const last = session.slot + 1 >= session.slots

  function tap(kind: ClockTap) {
    save(
      () => actions.tapClock({ classId, sessionId: session.id, tap: kind, slot: session.slot }),
      () => {
        if (kind === 'finish' || kind === 'all-played' || (kind === 'next' && last))
          router.push(`/c/${classId}/progress?ended=${session.id}`)
        else router.refresh()
      },
    )
  }

  const judge = (visitId: string, pupilId: string, judged: Judgement) =>
    marks.tap(visitId, pupilId, { judged, right: null, of: null })

  const inFocus = () => {
    const row = document.activeElement?.closest<HTMLElement>('[data-row]')?.dataset.row
    return all.find((one) => keyOf(one) === row)
  }

  useShortcuts([
    { keys: '↑ ↓ ← →', title: 'From child to child', run: () => undefined },
    ...judgements.map((judged, i) => ({
      keys: String(i + 1),
      title: `The child in focus: ${markWords[judged]}`,
      run: () => {
        const child = inFocus()
        if (child && running && !absent.has(child.pupilId)) judge(child.visitId, child.pupilId, judged)
      },
    })),
    { keys: 'n', title: 'More about the child in focus', run: () => setOpen(inFocus() ?? null) },
    { keys: 'u', title: 'Undo the last mark', run: marks.undo },
  ])

  /** Arrows lead from row to row: a class is marked without a tab stop for every sign. */
  function steer(event: React.KeyboardEvent) {
    const row = event.target instanceof HTMLElement && event.target.closest<HTMLElement>('[data-row]')
    const next = row && nextRow(columns, row.dataset.row ?? '', event.key)
    if (!next) return
    event.preventDefault()
    setStop(keyOf(next))
    document.querySelector<HTMLElement>(`[data-row="${keyOf(next)}"] .child-name`)?.focus()
  }

  return (
    <>
      <RunBar
        classId={classId}
        session={session}
        times={times}
        left={at.left}
        busy={busy}
        onTap={tap}
        onLetIn={() => setLettingIn(true)}
        replanned={page.replanned !== 'no'}
        leads={page.leads}
        onLate={() => setLate(true)}
        note={<QuickNote classId={classId} load={actions.loadNotes} />}
      />
      <main className="run-stations" onKeyDown={steer}>
        <Problems problems={problems} />
        {page.changesWait && (
          <p className="caution-line">
            The plan was changed after it was made ready; this session is without those changes.{' '}
            <Link href={`/c/${classId}/plan`}>Look at the plan</Link>
          </p>
        )}
        {running && page.leads && isTimeOver({ ...session, leftMs: at.left }) && (
          <div className="caution-line how-far">
            <span className="grow">The time of all slots has passed. How far did it go?</span>
            <HowFar {...session} busy={busy} onEnd={tap} />
          </div>
        )}
        {session.state === 'done' && (
          <p className="caution-line" role="status">
            The session was ended on another device.{' '}
            <Link href={`/c/${classId}/progress?ended=${session.id}`}>To what it shows</Link>
          </p>
        )}
        {marks.aside.length > 0 && (
          <NotStored aside={marks.aside} names={names} onRetry={marks.retry} onLetGo={marks.letGo} />
        )}
        <Newcomers
          waiting={page.leads ? page.waiting : []}
          groups={visits.map(({ groupId, pennant }) => ({ groupId, pennant }))}
          busy={busy}
          onJoin={(pupilId, groupId) =>
            save(
              () => actions.joinGroup({ classId, sessionId: session.id, pupilId, groupId }),
              () => router.refresh(),
            )
          }
        />
        {stations.map((station, position) => (
          <StationColumn
            key={station.id}
            showAt={(gameId, levelId) =>
              `/c/${classId}/show/${gameId}${levelId === undefined ? '' : `?level=${levelId}`}`
            }
            station={station}
            number={position + 1}
            visits={visits.filter(({ stationId }) => stationId === station.id)}
            absent={absent}
            markOf={marks.markOf}
            othersOf={marks.othersOf}
            enabled={running}
            stop={current ? keyOf(current) : null}
            onFocus={setStop}
            onTap={judge}
            onOpen={(visitId, pupilId) => setOpen({ visitId, pupilId })}
            onMissing={(item, done) => save(() => actions.missInBag({ classId, item }), done)}
            outcomeOf={at.outcomeOf}
            onFinished={at.finish}
            onUnfinished={at.unfinish}
            onLiked={at.like}
          />
        ))}
      </main>
      <RunFoot at={at} />
      {open && (
        <OpenChild
          at={at}
          page={page}
          open={open}
          stationAt={page.digital ? `/c/${classId}/station/${open.visitId}/${open.pupilId}` : null}
          onLevel={(to) => save(() => actions.changeLevel({ classId, ...open, to }), router.refresh)}
          onSwap={(withId) => save(() => actions.swapSeats({ classId, ...open, withId }), router.refresh)}
          onClose={() => setOpen(null)}
        />
      )}
      {late && (
        <LateSheet
          stations={stations}
          groups={visits.filter(({ children }) => children.some(({ id }) => !absent.has(id)))}
          replanned={page.replanned}
          find={(happened) => actions.findWays({ classId, sessionId: session.id, happened })}
          take={(happened, way) => actions.takeWay({ classId, sessionId: session.id, happened, way })}
          undo={() => actions.undoReplan({ classId, sessionId: session.id })}
          onClose={() => {
            setLate(false)
            router.refresh()
          }}
        />
      )}
      {lettingIn && (
        <LetInSheet
          stations={stations}
          digital={page.digital}
          address={address}
          make={(input) => actions.makeLink({ classId, sessionId: session.id, ...input })}
          end={() => actions.endLinks({ classId, sessionId: session.id })}
          onClose={() => setLettingIn(false)}
        />
      )}
    </>
  )
}
