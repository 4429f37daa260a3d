import { groupNames } from '@/core/grouping/pennants'
import type { ShownWay } from '@/server/room/replan'
import { many } from '../words'

/** What is done, in a sentence. */
export function wayInWords({ kind, slotMinutes, slot, station, moves, joins }: ShownWay): string {
  switch (kind) {
    case 'shorten':
      return `Shorten each slot to ${slotMinutes} minutes`
    case 'drop-slot':
      return `Leave out slot ${slot}`
    case 'tomorrow':
      return `Hold slot ${slot} on the next school day`
    case 'on-its-own':
      return `${station} goes on without an adult`
    case 'close-station':
      return `Close ${station}: ${moves
        .map(({ slot: at, pennant, to }) => `${groupNames[pennant]} to ${to} in slot ${at}`)
        .join(', ')}`
    case 'join-group':
      return `Play with ${groupNames[joins!]} from now on`
    case 'adult-plays':
      return 'An adult plays along'
  }
}

const list = (names: readonly string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/** Who misses what, one line for each kind of loss; “Nobody misses anything.” where that is so. */
export function lossesInWords({ kind, loses }: ShownWay): string[] {
  const of = (which: ShownWay['loses'][number]['kind']) => loses.filter((loss) => loss.kind === which)
  const who = (which: ShownWay['loses'][number]['kind']) =>
    list([...new Set(of(which).map(({ pennant }) => groupNames[pennant!]))])
  const lines: string[] = []
  const [minutes] = of('minutes')
  if (minutes) lines.push(`Every slot is ${many(minutes.minutes!, 'minute')} shorter.`)
  if (of('unfinished').length > 0)
    lines.push(`Games end less often at ${list([...new Set(of('unfinished').map(({ what }) => what!))])}.`)
  if (of('visit').length > 0)
    lines.push(
      kind === 'tomorrow'
        ? `${list(of('visit').map(({ pennant, what }) => `${groupNames[pennant!]} ${what}`))}: on another day.`
        : `Missed: ${list(of('visit').map(({ pennant, what }) => `${groupNames[pennant!]} ${what}`))}.`,
    )
  if (of('adult').length > 0) lines.push(`${who('adult')} won’t be at the adult’s table.`)
  if (of('strand').length > 0)
    lines.push(
      `Not practised today: ${list(of('strand').map(({ pennant, what }) => `${what!.toLowerCase()} by ${groupNames[pennant!]}`))}.`,
    )
  if (of('again').length > 0) lines.push(`${who('again')} will be at a station twice.`)
  if (of('too-hard').length > 0) lines.push(`Hard for some of ${who('too-hard')}: stay near.`)
  if (kind === 'adult-plays') lines.push('The adult can be nowhere else.')
  return lines.length > 0 ? lines : ['Nobody misses anything.']
}
