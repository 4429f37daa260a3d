import { groupNames } from '@/core/grouping/pennants'
import type { Regrouping } from '@/core/grouping/regrouping/regrouping'
import { dealtClass } from '@/core/grouping/testing/dealt-class'
import { rounds } from '@/core/testing/rounds'
import { doable, readIn } from '../testing/markup'
import { inHundred } from '../words'
import { Moves } from './moves'

const moves = (regroupings: Regrouping[], { fit }: Pick<ReturnType<typeof dealtClass>, 'fit'>) => (
  <Moves
    regroupings={regroupings}
    names={new Map(Object.keys(fit.success).map((id) => [id, `Child-${id}`]))}
    levels={fit.levels}
    busy={false}
    onAccept={() => undefined}
    onTry={() => undefined}
    onDismiss={() => undefined}
  />
)

test('whoever moves stands there with the group and what is expected here and there; whoever stays and is better or worse off too', () => {
  let [moved, stayed, levels] = [0, 0, 0]
  for (let seed = 1; seed <= rounds(60); seed++) {
    const dealt = dealtClass(seed)
    const [now, first] = dealt.found
    if (!first) continue
    const said = readIn(moves(dealt.found, dealt))
    for (const { pupil, to, here, there } of first.moves) {
      expect(said).toContain(
        `Child-${pupil} to ${groupNames[to]}: ${inHundred(here)} right alone here, ${inHundred(there)} there`,
      )
      moved++
    }
    for (const { pupil, here, there } of first.staying) {
      expect(said).toContain(`Child-${pupil} ${inHundred(here)} → ${inHundred(there)}`)
      stayed++
    }
    // Whom it harms is said to be harmed, and nobody else.
    const harm = (said.match(/, further from the zone/g) ?? []).length
    expect(harm).toBe(first.moves.filter(({ pupil }) => first.harmed.includes(pupil)).length)
    expect(said.includes('Further from the zone though they stay')).toBe(
      first.staying.some(({ pupil }) => first.harmed.includes(pupil)),
    )
    for (const [g, { pennant, levelId }] of first.groups.entries()) {
      const plays = `${groupNames[pennant]} then plays ${dealt.fit.levels.find(({ id }) => id === levelId)!.title}.`
      expect(said.includes(plays)).toBe(levelId !== now.groups[g].levelId)
      levels += Number(levelId !== now.groups[g].levelId)
    }
  }
  for (const met of [moved, stayed, levels]) expect(met).toBeGreaterThan(rounds(60) / 4)
})

test('the finding above says how many more are in their zone, and how many move for it', () => {
  for (let seed = 1; seed <= rounds(40); seed++) {
    const dealt = dealtClass(seed)
    const [now, first] = dealt.found
    if (!first) continue
    const said = readIn(moves(dealt.found, dealt))
    const words = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
    const more = first.fitting - now.fitting
    if (more > 0) expect(said.toLowerCase()).toMatch(new RegExp(`bring(s)? ${words[more]} more in`))
    else expect(said).toMatch(/nearer/)
    if (first.moves.length > 0)
      expect(said.toLowerCase()).toMatch(new RegExp(`^.{0,40}${words[first.moves.length]} moves? bring`))
  }
})

test('each number of moves that is worth it can be chosen, and all of it be left', () => {
  for (let seed = 1; seed <= 20; seed++) {
    const dealt = dealtClass(seed)
    const [, ...better] = dealt.found
    const choices = better.map(({ moves: { length } }) =>
      length === 0 ? 'Levels only' : length === 1 ? '1 move' : `${length} moves`,
    )
    expect(doable(moves(dealt.found, dealt))).toEqual(
      better.length === 0
        ? ['Back to the groups']
        : [...(choices.length > 1 ? choices : []), 'Accept', 'Try on the table', 'Leave as they are'],
    )
  }
})

test('where nothing better was found that is said, with a way back', () => {
  const dealt = dealtClass(1)
  const none = moves(dealt.found.slice(0, 1), dealt)
  expect(readIn(none)).toContain('No better regrouping found')
  expect(doable(none)).toEqual(['Back to the groups'])
})
