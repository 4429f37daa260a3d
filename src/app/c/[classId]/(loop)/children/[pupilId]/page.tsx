import { childPage } from '@/server/progress'
import { ChildPage } from '@/ui/progress/child-page'
import { load } from '../../../../../load'
import { correctRecordAction } from './actions'
import { takeNoteAwayAction } from '../../../note/actions'
import { changeChildAction, setLeftAction } from '../../class/actions'

export const metadata = { title: 'Child' }

export default async function Child({ params }: { params: Promise<{ classId: string; pupilId: string }> }) {
  const { classId, pupilId } = await params
  return (
    <ChildPage
      classId={classId}
      page={await load(childPage, { classId, pupilId })}
      changeChild={changeChildAction}
      setLeft={setLeftAction}
      takeNoteAway={takeNoteAwayAction}
      correctRecord={correctRecordAction}
    />
  )
}
