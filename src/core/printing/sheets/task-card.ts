import { box, disc, line, type Mark } from '../../drawing/marks'
import { scaled } from '../../drawing/scaled'
import { signMarks } from '../../drawing/signs'
import { tableMarks } from '../../drawing/table'
import { thingPicture } from '../../drawing/thing-picture'
import type { AnyGame } from '../../games'
import { pictureOf } from '../../games/playing/showing'
import { stepPictures, type StepPicture } from '../../games/playing/step-pictures'
import { textsOf } from '../../games/texts'
import { nameOf } from '../../things'
import { at, type Piece } from '../piece'
import { rulesSide, type SideSize } from './rules-side'
import { leading, linesOf, paragraph, sizeFor, textFrom, textRound, textTo, widthOf } from '../text'

/** Half a sheet, folded; a whole one with larger letters; or a whole one with signs instead of words. */
export const taskCardForms = ['small', 'large', 'signs'] as const
export type TaskCardForm = (typeof taskCardForms)[number]

type Where = 'at school' | 'at home'

const sizes: Record<TaskCardForm, SideSize> = {
  small: { width: 138, height: 181, letters: 0.74 },
  large: { width: 190, height: 268, letters: 1.12 },
  signs: { width: 190, height: 268, letters: 1 },
}

/** A card with its other side: next to each other where it is folded in the middle, else one after the other. */
export function taskCardWithRules(
  game: AnyGame,
  level: string,
  params: unknown,
  form: TaskCardForm = 'small',
  where: Where = 'at school',
): Piece[] {
  const front = taskCard(game, level, params, form, where)
  const rules = rulesSide(game.title, level, textsOf(game.id, params), sizes[form])
  if (form !== 'small') return [front, rules]
  const { width, height } = front
  return [
    {
      width: 2 * width,
      height,
      marks: [at(-width / 2, 0, front.marks, 'front'), at(width / 2, 0, rules.marks, 'back')],
    },
  ]
}

/** What children read at the station: the picture, what they need, what to do in a few steps, what comes then. */
export function taskCard(
  game: AnyGame,
  level: string,
  params: unknown,
  form: TaskCardForm = 'small',
  where: Where = 'at school',
): Piece {
  const { width, height, letters } = sizes[form]
  const texts = textsOf(game.id, params)
  const margin = 9 * letters
  const [left, right, top, bottom] = [-width / 2 + margin, width / 2 - margin, -height / 2, height / 2]
  const across = right - left
  const marks: Mark[] = [box(0, 0, width, height, 0, 'none', 'soft', 0.25)]

  const head = top + margin + 15 * letters
  const { min, max } = game.players
  const players = min === max ? `for ${min}` : `for ${min} to ${max}`
  const titled = { size: sizeFor(game.title, across * 0.64, 17 * letters, true), heavy: true }
  const beside = across - widthOf(game.title, titled) - 5 * letters
  marks.push(
    textFrom(game.title, left, head, titled),
    textTo(players, right, head - 8 * letters, { size: 7 * letters }),
    textTo(level, right, head, { size: sizeFor(level, beside, 4.8 * letters) }),
    line(`M${left} ${head + 6 * letters}H${right}`, 'ink', 0.6),
  )

  const cautions = where === 'at home' ? texts.cautions : [...texts.cautions, schoolRules]
  const foot = footOf(texts.finishEarly, cautions, form, left, bottom - margin, across, letters)
  marks.push(...foot.marks)

  const from = head + 11 * letters
  const wordy = form !== 'signs'
  const needs = needsOf(game, params, left, across, letters, wordy)
  const pictures = stepPictures(
    game,
    params,
    texts.steps.map(([gesture]) => gesture),
  )
  const steps = (wordy ? stepsInWords : stepsInSigns)(texts.steps, pictures, left, across, letters)
  // The picture has what the rest leaves.
  const room = foot.top - from - needs.height - steps.height - 12 * letters
  const picture = pictureMarks(game, params, across, Math.max(24 * letters, room))
  marks.push(at(left, from, picture.marks, 'picture'))
  const under = from + picture.height + 6 * letters
  marks.push(
    at(0, under, needs.marks, 'needs'),
    at(0, under + needs.height + 5 * letters, steps.marks, 'steps'),
  )
  return { width, height, marks }
}

interface Block {
  marks: Mark[]
  height: number
}

function pictureMarks(game: AnyGame, params: unknown, across: number, room: number): Block {
  const { layout, scene } = pictureOf(game, params)
  const scale = Math.min(across / layout.width, room / layout.height)
  const indent = (across - layout.width * scale) / 2
  return {
    marks: [
      at(
        Number(indent.toFixed(2)),
        0,
        tableMarks(layout, scene).map((mark) => scaled(mark, scale)),
        'table',
      ),
    ],
    height: layout.height * scale,
  }
}

/** Pictures of what is needed, with how many; more than fit are smaller. */
function needsOf(
  game: AnyGame,
  params: unknown,
  left: number,
  across: number,
  letters: number,
  wordy: boolean,
): Block {
  const all = game.materials(params)
  const columns = Math.max(4, all.length)
  const width = across / columns
  const gap = 2.5 * letters
  const inside = width - 2 * gap
  const name = { size: 3.7 * letters }
  const lines = all.map(({ thing }) => linesOf(nameOf(thing), inside, name))
  const nameRows = wordy ? Math.max(...lines.map((one) => one.length)) : 0
  const pictureHeight = 15 * letters
  const height = pictureHeight + nameRows * name.size * leading + 12 * letters
  const title: Mark[] = wordy
    ? [textFrom('You need', left, 6 * letters, { size: 6.6 * letters, heavy: true })]
    : []
  const begin = wordy ? 9 * letters : 0
  const marks = all.flatMap(({ thing, perPlayer = 0, perSet = 0 }, i) => {
    const x = left + i * width + width / 2
    const count = perPlayer > 0 ? `${perPlayer} each` : String(perSet)
    return [
      box(x, begin + height / 2, width - gap, height, 2 * letters, 'sheet', 'ink', 0.3),
      at(
        x,
        begin + 2.5 * letters + pictureHeight / 2,
        [thingPicture(thing, inside, pictureHeight)],
        `need ${i}`,
      ),
      ...(wordy
        ? lines[i].map((words, row) =>
            textRound(words, x, begin + pictureHeight + 3 * letters + name.size * (1 + row * leading), name),
          )
        : []),
      textRound(count, x, begin + height - 2.6 * letters, {
        size: sizeFor(count, inside, 5 * letters, true),
        heavy: true,
      }),
    ]
  })
  return { marks: [...title, ...marks], height: begin + height }
}

type Steps = ReturnType<typeof textsOf>['steps']

type Pictures = readonly (StepPicture | null)[]

/** A picture of words alone in smaller letters than this is not read, and the sign says more; millimetres. */
const leastLetters = 3

const leaves = (marks: readonly Mark[]): Exclude<Mark, { op: 'group' }>[] =>
  marks.flatMap((mark) => (mark.op === 'group' ? leaves(mark.marks) : [mark]))

const isTooSmall = (marks: readonly Mark[]) =>
  leaves(marks).every((mark) => mark.op === 'text' && mark.size < leastLetters)

/** What a step looks like, round (0, 0): a part of the table, what is said, or the sign of the gesture alone. */
function stepMarks(
  [gesture]: Steps[number],
  picture: StepPicture | null,
  width: number,
  height: number,
): Mark[] {
  const sign = [signMarks(gesture, Math.min(width, height) * 0.72)]
  if (picture === null) return sign
  if (picture.kind === 'said') {
    const size = sizeFor(picture.words, width * 0.86, height * 0.3)
    return [
      box(0, 0, width, height * 0.62, height * 0.2, 'sheet', 'ink', 0.35),
      textRound(picture.words, 0, size * 0.36, { size }),
    ]
  }
  const { layout, scene } = picture
  const scale = Math.min(width / layout.width, height / layout.height)
  const drawn = tableMarks(layout, scene).map((mark) => scaled(mark, scale))
  if (isTooSmall(drawn)) return sign
  return [at((-layout.width * scale) / 2, (-layout.height * scale) / 2, drawn, 'step')]
}

/** Its number, what it looks like, and the words. */
function stepsInWords(
  steps: Steps,
  pictures: Pictures,
  left: number,
  across: number,
  letters: number,
): Block {
  const size = 7.4 * letters
  const marks: Mark[] = [textFrom('How to play', left, 6 * letters, { size: 6.6 * letters, heavy: true })]
  let y = 11 * letters
  const [wide, high] = [25 * letters, 12 * letters]
  const indent = 12 * letters + wide + 5 * letters
  steps.forEach((step, i) => {
    const [, words] = step
    const written = size * leading * linesOf(words, across - indent, { size }).length
    const tall = Math.max(written, high)
    // Words and picture of a step share their middle.
    const middle = y + tall / 2
    const text = paragraph(words, left + indent, middle - written / 2, across - indent, { size })
    marks.push(
      disc(left + 5 * letters, middle, 5 * letters, 'none', 'ink', 0.45),
      textRound(String(i + 1), left + 5 * letters, middle + 2 * letters, { size: 5.6 * letters }),
      at(left + 12 * letters + wide / 2, middle, stepMarks(step, pictures[i], wide, high), `sign ${i}`),
      ...text.marks,
    )
    y += tall + 1.6 * letters
  })
  return { marks, height: y }
}

/** Large signs in a row, in their order: for anyone who does not read yet. */
function stepsInSigns(
  steps: Steps,
  pictures: Pictures,
  left: number,
  across: number,
  letters: number,
): Block {
  const width = across / steps.length
  const height = 58 * letters
  const marks = steps.flatMap((step, i) => {
    const picture = pictures[i]
    const [wide, high] = [width - 10, 27 * letters]
    const x = left + i * width + width / 2
    return [
      box(x, height / 2, width - 4, height, 3, 'sheet', 'ink', 0.5),
      textRound(String(i + 1), picture ? x - 5 * letters : x, 13 * letters, {
        size: 10 * letters,
        heavy: true,
      }),
      at(x, height * 0.66, stepMarks(step, picture, wide, picture ? high : high * 1.3), `sign ${i}`),
      // Beside the number: what the hand does, where the picture shows the table.
      ...(picture ? [at(x + 9 * letters, 10 * letters, [signMarks(step[0], 9 * letters)], `hand ${i}`)] : []),
      ...(i > 0 ? [line(`M${x - width / 2 - 1.4} ${height / 2 - 2}l2.8 2l-2.8 2`, 'ink', 0.6)] : []),
    ]
  })
  return { marks, height }
}

/** A game’s cautions defer to them. */
const schoolRules = 'Your school’s own rules come first.'

/** What comes when they are done, and what to mind; under a line. */
function footOf(
  done: string,
  cautions: readonly string[],
  form: TaskCardForm,
  left: number,
  low: number,
  across: number,
  letters: number,
): { marks: Mark[]; top: number } {
  const then = { size: 5 * letters }
  const small = { size: 3 * letters, tone: 'soft' as const }
  const doneLines = form === 'signs' ? 0 : linesOf(`Done? ${done}`, across, then).length
  const caution = cautions.join(' ')
  const cautionLines = linesOf(caution, across, small).length
  const top = low - doneLines * then.size * leading - cautionLines * small.size * leading - 5 * letters
  const first = paragraph(`Done? ${done}`, left, top + 3 * letters, across, then)
  const begin = form === 'signs' ? top + 3 * letters : first.y + 1 * letters
  return {
    top,
    marks: [
      line(`M${left} ${top}H${left + across}`, 'ink', 0.35),
      ...(form === 'signs' ? [] : first.marks),
      ...paragraph(caution, left, begin, across, small).marks,
    ],
  }
}
