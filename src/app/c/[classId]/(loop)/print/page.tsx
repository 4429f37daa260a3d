import type { Metadata } from 'next'
import Link from 'next/link'
import { languageSchema, type PrintFor } from '@/server/print/source'
import { printPage } from '@/server/print/print'
import { PrintPlace } from '@/ui/print/print-place'
import { load } from '../../../../load'
import { only, type Query } from '../query'
import { countInBagAction, previewPagesAction, putIntoBagsAction } from './actions'

export const metadata: Metadata = { title: 'Print' }

interface Props {
  params: Promise<{ classId: string }>
  searchParams: Promise<Query>
}

/** What the address asks for: a game, a child, a group, or the next session. */
function askedFor(query: Query): PrintFor {
  const [game, level, children] = [only(query.game), only(query.level), Number(only(query.children) ?? 6)]
  if (game)
    return {
      kind: 'game',
      gameId: game,
      ...(level === undefined ? {} : { levelId: level }),
      children,
    }
  const child = only(query.child)
  if (child) return { kind: 'child', pupilId: child }
  const group = only(query.group)
  if (group) return { kind: 'group', groupId: group }
  return only(query.for) === 'home' ? { kind: 'group' } : { kind: 'session' }
}

export default async function Print({ params, searchParams }: Props) {
  const { classId } = await params
  const query = await searchParams
  const language = languageSchema.catch('en').parse(only(query.language))
  const what = askedFor(query)
  const page = await load(printPage, { classId, what, language })
  if (!page)
    return (
      <div className="empty">
        <h1>Nothing to print for yet</h1>
        <p>A planned session knows which cards and boards it needs. Each game prints by itself as well.</p>
        <p className="button-row">
          <Link className="btn btn-primary" href={`/c/${classId}/plan`}>
            Plan a session
          </Link>
          <Link className="btn btn-quiet" href={`/c/${classId}/games`}>
            To the games
          </Link>
        </p>
      </div>
    )
  return (
    <PrintPlace
      key={JSON.stringify([what, language])}
      classId={classId}
      page={page}
      language={language}
      preview={previewPagesAction}
      putIn={putIntoBagsAction}
      countIn={countInBagAction}
    />
  )
}
