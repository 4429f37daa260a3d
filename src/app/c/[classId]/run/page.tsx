import type { Metadata } from 'next'
import Link from 'next/link'
import { addressForOthers } from '@/server/http/address'
import { runPage } from '@/server/run'
import { LeftOpen } from '@/ui/harbour/left-open'
import { leftOpenInWords } from '@/ui/harbour/left-open-in-words'
import { RunBoard } from '@/ui/run/run-board'
import { load } from '../../../load'
import { quickNoteAction } from '../note/actions'
import {
  changeLevelAction,
  clockAction,
  endLinksAction,
  findWaysAction,
  joinAction,
  makeLinkAction,
  missInBagAction,
  swapSeatsAction,
  takeWayAction,
  undoReplanAction,
} from './actions'

export const metadata: Metadata = { title: 'Run' }

export default async function Run({ params }: { params: Promise<{ classId: string }> }) {
  const { classId } = await params
  const page = await load(runPage, { classId })
  if (!page)
    return (
      <main className="place empty">
        <h1>No session is planned</h1>
        <p>Plan one in a minute: stations, slots, ready.</p>
        <Link className="btn btn-primary" href={`/c/${classId}/plan`}>
          To the plan
        </Link>
      </main>
    )
  if (page.leftOpen) {
    const left = { ...page.session, day: page.day }
    const { title, why } = leftOpenInWords(left)
    return (
      <main className="place empty">
        <h1>{title}</h1>
        <p>{why}</p>
        {page.leads && <LeftOpen classId={classId} left={left} tapClock={clockAction} />}
        <Link className="btn btn-plain" href={`/c/${classId}`}>
          Harbour
        </Link>
      </main>
    )
  }
  return (
    <RunBoard
      key={page.session.id}
      classId={classId}
      page={page}
      address={addressForOthers()}
      actions={{
        tapClock: clockAction,
        joinGroup: joinAction,
        missInBag: missInBagAction,
        changeLevel: changeLevelAction,
        swapSeats: swapSeatsAction,
        makeLink: makeLinkAction,
        endLinks: endLinksAction,
        loadNotes: quickNoteAction,
        findWays: findWaysAction,
        takeWay: takeWayAction,
        undoReplan: undoReplanAction,
      }}
    />
  )
}
