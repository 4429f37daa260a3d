import type { RunPage } from '@/server/session-board'
import { ChildSheet, type ChildSheetProps } from './child-sheet'
import { stepOfChild, type useSession } from './use-session'

/** The sheet of a child of the board. */
export function OpenChild({
  at,
  page,
  open: { visitId, pupilId },
  ...rest
}: {
  at: ReturnType<typeof useSession>
  page: RunPage
  open: { visitId: string; pupilId: string }
} & Pick<ChildSheetProps, 'stationAt' | 'onLevel' | 'onSwap' | 'onClose'>) {
  const { marks, session, running, tell } = at
  const visit = page.visits.find(({ id }) => id === visitId)
  if (!visit) return null
  const mates = visit.seats.find((set) => set.includes(pupilId)) ?? []
  return (
    <ChildSheet
      {...rest}
      name={at.names.get(pupilId) ?? ''}
      visit={visit}
      step={stepOfChild(visit, pupilId)}
      mark={marks.markOf(visitId, pupilId)}
      digital={marks.othersOf(visitId, pupilId).filter(({ digital }) => digital !== null)}
      awayFrom={at.awayFrom(pupilId)}
      slot={session.slot}
      enabled={running}
      others={visit.children.filter(({ id }) => id !== pupilId && !mates.includes(id))}
      onTakeBack={marks.takeBack}
      onValue={(value) => marks.tap(visitId, pupilId, value)}
      onHow={(how) => marks.describe(visitId, pupilId, how)}
      onNote={(words, tags) => tell({ kind: 'note', pupilId, visitId, words, tags })}
      onAway={(away) => at.setAway(pupilId, away)}
    />
  )
}
