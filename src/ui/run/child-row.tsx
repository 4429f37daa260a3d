import { judgements, type Judgement } from '@/core/evidence/observation'
import type { MarkValue } from '@/core/evidence/mark'
import type { RunVisit, ShownMark } from '@/server/session-board'

export const markWords: Record<Judgement, string> = {
  own: 'on their own',
  help: 'with help',
  notYet: 'not yet',
}

type Child = RunVisit['children'][number]

/** A child's name, and a tap for what was seen. */
export function ChildRow({
  child: { name, own },
  moved,
  away,
  mark,
  others,
  enabled,
  row,
  stop,
  onFocus,
  onTap,
  onOpen,
}: {
  child: Child
  moved: string | null
  away: boolean
  mark: MarkValue | undefined
  others: readonly ShownMark[]
  enabled: boolean
  row: string
  stop: string | null
  onFocus: (row: string) => void
  onTap: (judged: Judgement) => void
  onOpen: () => void
}) {
  const seenBy = others
    .filter(({ digital }) => digital === null)
    .map((other) => (other.of === null ? markWords[other.judged!] : `${other.right} of ${other.of}`))
  const played = others.filter(({ digital }) => digital !== null)
  const beside = [
    mark?.of != null && `${mark.right} of ${mark.of}`,
    moved,
    own?.range,
    seenBy.length > 0 && `also: ${seenBy.join(', ')}`,
    played.length > 0 && `digital: ${sum(played, 'right')} of ${sum(played, 'of')}`,
  ]
    .filter(Boolean)
    .join(' · ')
  const tabIndex = row === stop ? 0 : -1
  return (
    <div
      className={away ? 'child away' : 'child'}
      role="group"
      aria-label={name}
      data-row={row}
      onFocus={() => onFocus(row)}
    >
      <button type="button" className="child-name" tabIndex={tabIndex} onClick={onOpen}>
        {name}
        {away ? <small>away</small> : beside && <small className="beside">{beside}</small>}
      </button>
      {judgements.map((judged) => (
        <button
          key={judged}
          type="button"
          className="mark"
          tabIndex={tabIndex}
          disabled={!enabled || away}
          aria-pressed={mark?.judged === judged}
          aria-label={`${name} ${markWords[judged]}`}
          onClick={() => onTap(judged)}
        >
          <MarkSign judged={judged} />
        </button>
      ))}
    </div>
  )
}

const sum = (marks: readonly ShownMark[], key: 'right' | 'of') =>
  marks.reduce((total, mark) => total + (mark[key] ?? 0), 0)

/** ● own, ◐ help, ○ not yet. */
export function MarkSign({ judged }: { judged: Judgement }) {
  return (
    <svg width={18} height={18} viewBox="-9 -9 18 18" aria-hidden>
      <circle r={7} fill={judged === 'own' ? 'var(--ink)' : 'none'} stroke="var(--ink)" strokeWidth={2} />
      {judged === 'help' && <path d="M0,-7A7,7 0 0 0 0,7Z" fill="var(--ink)" />}
    </svg>
  )
}
