import { useState } from 'react'
import { gameOf } from '@/core/games'
import { ImpossibleDevice, type Notable } from '@/core/games/engine/round'
import { slips } from '@/core/skills/slips'
import type { ShowPage } from '@/server/show'
import { again, back, begin, current, deviceOf, isOver, next, withCase, type Film } from './film'
import { caseInWords } from './in-words'

/** A round begun: the one that shows most, as far as it is known. */
function start({ game, level, players, demonstration }: ShowPage): Film {
  const { params } = gameOf(game.id).levels.find(({ id }) => id === level.id)!
  return begin(game.id, params, players, demonstration?.seed ?? 1)
}

/** A round before the class: where it stands, what was added to its picture, and all that can be done with it. */
export function useShowing(page: ShowPage) {
  const [film, setFilm] = useState(() => start(page))
  const [counting, setCounting] = useState(0)
  /** How many slips of the open question were shown, and whether the reason of the last one is told. */
  const [slip, setSlip] = useState<{ nth: number; told: boolean } | null>(null)
  const [told, setTold] = useState<string | null>(null)
  const [real, setReal] = useState(false)
  const frame = current(film)
  const wrong = frame.item ? slips(frame.item) : []
  const hops = frame.stage === 'asked' && frame.move?.verb === 'move' && frame.from ? frame.move.spots : []
  /** A real device is thrown before the round goes on. */
  const waitsForDevice = real && frame.round.phase === 'roll'

  /** Shows another picture, and forgets what was added to the last one. */
  function show(other: Film) {
    setFilm(other)
    setCounting(0)
    setSlip(null)
    setTold(null)
  }

  return {
    frame,
    over: isOver(film),
    atStart: film.at === 0,
    counting,
    hops,
    slip: slip && wrong[slip.nth] ? { ...wrong[slip.nth], told: slip.told } : null,
    canSlip: wrong.length > 0,
    told,
    real,
    waitsForDevice,
    device: deviceOf(frame.round.params, page.game.id),
    /** Cases that can be jumped to, with the share of rounds they come up in. */
    cases: (page.demonstration?.often ?? []).filter(({ case: one }) => one !== 'ends'),
    onward() {
      if (!waitsForDevice) show(next(film))
    },
    back: () => show(back(film)),
    rollAgain: () => show(again(film)),
    countOne: () => setCounting(Math.min(hops.length, counting + 1)),
    useReal: () => setReal(!real),
    /** A wrong answer, then why it is given, then the next one. */
    someoneSlips() {
      if (wrong.length === 0) return
      if (!slip) setSlip({ nth: 0, told: false })
      else if (!slip.told) setSlip({ ...slip, told: true })
      else setSlip({ nth: (slip.nth + 1) % wrong.length, told: false })
    },
    jumpTo(wanted: Notable) {
      const found = withCase(film, wanted)
      if (found) show(found)
      else setTold(`None of 400 rounds showed ${caseInWords[wanted]}.`)
    },
    /** Goes on with what a real device turned up; false where it can’t. */
    playWith(numbers: number[]): boolean {
      try {
        show(again(film, numbers))
        return true
      } catch (error) {
        if (!(error instanceof ImpossibleDevice)) throw error
        setTold(`It can’t show ${numbers.join(' and ')} now.`)
        return false
      }
    },
  }
}
