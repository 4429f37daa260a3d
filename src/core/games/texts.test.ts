import { fleschKincaid } from 'flesch-kincaid'
import { syllable } from 'syllable'
import { seededChance } from '../chance/chance'
import { itemKey, slipReasons, slips, type PracticeItem, type SlipReason } from '../skills'
import { teachingMoves } from '../teaching/moves'
import { demonstrate } from './engine/demonstration'
import type { Notable } from './engine/round'
import { games, playGo, type AnyGame, type GameState } from './index'
import { playersToShow } from './playing/showing'
import { textsOf } from './texts'
import type { LevelTexts } from './engine/texts'

const levels = games.flatMap((game) =>
  game.levels.map(({ id, params }) => ({
    name: `${game.id} ${id}`,
    game,
    params: params as object,
    texts: textsOf(game.id, params),
  })),
)

const wordsOf = ({ steps, rules, setUp, start, end }: LevelTexts) => [
  setUp,
  start,
  end,
  ...rules,
  ...steps.map(([, words]) => words),
]

const faultsOf = (check: (level: (typeof levels)[number]) => string[]) =>
  levels.flatMap((level) => check(level).map((fault) => `${level.name}: ${fault}`))

test('each level has all an adult needs, short enough to be read at the table', () => {
  const faults = faultsOf(({ texts }) => {
    const found: string[] = []
    const { steps, rules, words, lookFors, misconceptions } = texts
    if (steps.length < 3 || steps.length > 5) found.push(`${steps.length} steps`)
    if (rules.length < 2 || rules.length > 7) found.push(`${rules.length} rules`)
    if (new Set(words).size !== words.length || words.length < 3 || words.length > 6)
      found.push(`words ${words.join(', ')}`)
    if (lookFors.length < 2) found.push('few look-fors')
    if (misconceptions.length === 0) found.push('no misconception')
    for (const look of lookFors) if (!look.endsWith('?')) found.push(look)
    for (const { seen, ask } of misconceptions)
      if (!ask.endsWith('?') || !seen.endsWith('.')) found.push(`${seen} ${ask}`)
    if (!/^I (can|know) .*\.$/.test(texts.iCan)) found.push(texts.iCan)
    for (const key of [
      'setUp',
      'start',
      'end',
      'easier',
      'harder',
      'stuck',
      'finishEarly',
      'talk',
      'home',
    ] as const)
      if (!/^[A-Z0-9“].*[.?]”?$/.test(texts[key])) found.push(`${key}: ${texts[key]}`)
    for (const line of wordsOf(texts)) if (/undefined|NaN|\s{2}|\$\{|null/.test(line)) found.push(line)
    return found
  })
  expect(faults).toEqual([])
})

test('a device is named where there is one, and nowhere else', () => {
  const named = {
    die: /\b(die|dice)\b(?!-pattern)/i,
    spinner: /\bspin/i,
  }
  const faults = faultsOf(({ game, params, texts }) => {
    const kinds = new Set(game.materials(params).map(({ thing }) => thing.kind))
    const text = wordsOf(texts).join(' ')
    return (['die', 'spinner'] as const).flatMap((kind) =>
      named[kind].test(text) === kinds.has(kind) ? [] : [`${kind} ${kinds.has(kind) ? 'missing' : 'named'}`],
    )
  })
  expect(faults).toEqual([])
})

/** All numbers in the parameters. */
const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : value !== null && typeof value === 'object'
      ? Object.values(value).flatMap(numbersIn)
      : []

test('no example goes beyond the numbers of its level', () => {
  const faults = faultsOf(({ game, params, texts }) => {
    const level = game.levels.find((one) => one.params === params)!
    // Ten fingers are always at hand.
    const most = level.to
    const { rules, steps, misconceptions, lookFors, easier, harder, stuck, finishEarly, iCan } = texts
    // Set-up and end have a test of their own; a wrong answer may go beyond, and minutes are not the clock's numbers.
    const asked = misconceptions.map(({ ask }) => ask)
    const done = steps.map(([, words]) => words)
    const lines = [...rules, ...done, ...asked, ...lookFors, easier, harder, stuck, finishEarly, iCan]
    return lines.flatMap((line) =>
      [...line.replace(/\d+ (seconds|minutes)/g, '').matchAll(/\d+/g)]
        .map(([n]) => Number(n))
        .filter((n) => n > most)
        .map((n) => `${n} beyond ${most} in “${line}”`),
    )
  })
  expect(faults).toEqual([])
})

test('a numeral in set-up, start and end is one of the level’s own', () => {
  const faults = faultsOf(({ game, params, texts }) => {
    const own = numbersIn(params)
    const things = numbersIn(game.materials(params))
    const made = own.flatMap((n) => [n, n + 1, 10 * n, 6 * n, 2 * n])
    const allowed = new Set([0, 1, 2, 6, 10, ...made, ...things])
    // A row of neighbours is an example.
    const lines = [texts.setUp, texts.start, texts.end.replace(/, such as .*/, '')]
    return lines.flatMap((line) =>
      [...line.replace(/\(.*?\)/g, '').matchAll(/\d+/g)]
        .map(([n]) => Number(n))
        .filter((n) => !allowed.has(n))
        .map((n) => `${n} in “${line}”`),
    )
  })
  expect(faults).toEqual([])
})

/** How the words of a level speak of a case that can come up in it. */
const told: Partial<Record<Notable, RegExp>> = {
  waits: /stay|pass it on|wait|miss|none left|nothing (makes|fits)|not the same|not there|a slip|already/i,
  'sent-back': /back to the start|flies home/i,
  'fewer-dice': /one die only/i,
  back: /back|take away|less|left/i,
  beyond: /past|beyond|come back/i,
  'covers-several': /numbers that make it|two open|three open|the three|parts/i,
  takes: /take|keep|draw|lay|fill|pay/i,
  'moves-the-body': /jump|hop|clap|stretch|step|hand/i,
  'goes-again': /again|go on/i,
}

test('every notable case that comes up at a level is told in its words', () => {
  const faults = faultsOf(({ game, params, texts }) => {
    const { shows, never } = demonstrate(game, params, playersToShow(game))
    // What is seen in fewer than one game in a hundred needs no rule.
    const cases = [...shows, ...never.filter(({ share }) => share >= 0.01).map(({ case: one }) => one)]
    const text = wordsOf(texts).join(' ')
    return cases.filter((one) => told[one] && !told[one].test(text)).map((one) => `${one} is not told`)
  })
  expect(faults).toEqual([])
})

test('where a setting that is no number differs, the words differ', () => {
  const plain = (value: unknown): unknown =>
    typeof value === 'number'
      ? 'n'
      : Array.isArray(value)
        ? value.map((one) => (typeof one === 'string' ? one : 'n'))
        : value !== null && typeof value === 'object'
          ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, plain(one)]))
          : value
  const shape = (params: unknown) => JSON.stringify(plain(params))
  const alike = games.flatMap((game) =>
    game.levels.flatMap((one, i) =>
      game.levels
        .slice(i + 1)
        .filter(
          (two) =>
            shape(one.params) !== shape(two.params) &&
            JSON.stringify(wordsOf(textsOf(game.id, one.params))) ===
              JSON.stringify(wordsOf(textsOf(game.id, two.params))),
        )
        .map((two) => `${game.id} ${one.id} and ${two.id}`),
    ),
  )
  expect(alike).toEqual([])
})

/** What a level asks in a few games. */
function asked(game: AnyGame, params: unknown): PracticeItem[] {
  const items = new Map<string, PracticeItem>()
  const chance = seededChance(7)
  for (let played = 0; played < 6; played++) {
    let state = game.setup(params, playersToShow(game)) as GameState
    for (let goes = 0; goes < 60 && !state.ended; goes++)
      state = playGo(game, state, 'novice', chance, (event) => {
        if (event.kind === 'answered') items.set(itemKey(event.item), event.item)
      }) as GameState
  }
  return [...items.values()]
}

test('a misconception with a slip leaves that wrong answer at its level', () => {
  const isSlip = (move: string): move is SlipReason => (slipReasons as readonly string[]).includes(move)
  const faults = faultsOf(({ game, params, texts }) => {
    const reasons = new Set(asked(game, params).flatMap((item) => slips(item).map(({ reason }) => reason)))
    return texts.misconceptions
      .map(({ move, slip = move }) => slip)
      .filter((move) => isSlip(move) && !reasons.has(move))
      .map((move) => `no wrong answer by ${move}`)
  })
  expect(faults).toEqual([])
})

test('a child’s steps can be read at eight: Flesch–Kincaid grade 3 at most', () => {
  // Kincaid, Fishburne, Rogers & Chissom 1975, Derivation of new readability formulas, Research Branch Report 8-75:
  // grade = 0.39 words ÷ sentences + 11.8 syllables ÷ words − 15.59; grade 3 is the school year of eight.
  const faults = faultsOf(({ texts }) => {
    const sentences = texts.steps.flatMap(([, words]) => words.split(/[.?!:]\s*/).filter((one) => one !== ''))
    const words = sentences.flatMap((one) => one.match(/[A-Za-z’]+|\d+/g) ?? [])
    const spoken = words.map((word) => (/\d/.test(word) ? 1 : syllable(word)))
    const grade = fleschKincaid({
      sentence: sentences.length,
      word: words.length,
      syllable: spoken.reduce((sum, n) => sum + n, 0),
    })
    return grade <= 3 ? [] : [`grade ${grade.toFixed(1)}: ${sentences.join('. ')}`]
  })
  expect(faults).toEqual([])
})

test('teaching moves can be done as they stand: what to do, what to say, how to know', () => {
  for (const { title, need, do: lines, say, worked } of Object.values(teachingMoves)) {
    expect(lines.length).toBeGreaterThanOrEqual(2)
    expect(lines.length).toBeLessThanOrEqual(4)
    for (const line of [...lines, worked]) expect(line).toMatch(/^[A-Z].*[.?]$/)
    for (const line of [title, need, say]) expect(line.length).toBeGreaterThan(3)
  }
  const used = new Set(levels.flatMap(({ texts }) => texts.misconceptions.map(({ move }) => move)))
  for (const id of Object.keys(teachingMoves))
    expect([id, used.has(id as never) || (slipReasons as readonly string[]).includes(id)]).toEqual([id, true])
})
