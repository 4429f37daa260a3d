import { syllable } from 'syllable'
import { fleschKincaid } from 'flesch-kincaid'
import type { Mark } from '../drawing/marks'
import { gameOf, games } from '../games'
import { textsOf } from '../games/texts'
import { homeKit, mostKitPages, playedAtHome } from './home-kit'
import { languages, letters } from './letters'
import { pagesOf } from './pages'
import type { PaperId } from './paper'
import { countsToPrint } from './to-print'

const child = { id: 'c0ffee', name: 'Zoë' }

const textsIn = (marks: readonly Mark[]): string[] =>
  marks.flatMap((mark) => (mark.op === 'group' ? textsIn(mark.marks) : mark.op === 'text' ? [mark.text] : []))

const kitPages = (gameId: string, levelId: string, paper: PaperId = 'A4') => {
  const bundles = [homeKit(child, { gameId, levelId }, 'en')]
  const counts = countsToPrint(bundles, new Map())
  return pagesOf({ title: 'kit', bundles }, { paper, backs: 'none', seed: 1, taskCards: 'small', counts })
}

const atHome = games.flatMap((game) =>
  game.levels.filter(({ params }) => playedAtHome(game, params)).map(({ id }) => ({ game, levelId: id })),
)

test('a third of the levels can be played at home, of every section of the number strands', () => {
  expect(atHome.length).toBeGreaterThan(60)
  expect(new Set(atHome.map(({ game }) => game.id)).size).toBeGreaterThan(15)
  for (const { game } of atHome) expect(game.room).toMatchObject({ adult: false, where: 'table' })
})

test('every kit is at most four pages; its child is named on the letter alone, its level nowhere', () => {
  const faults = atHome.flatMap(({ game, levelId }) => {
    const pages = kitPages(game.id, levelId)
    const texts = pages.map(({ marks }) => textsIn(marks).join(' '))
    const { title, params } = gameOf(game.id).levels.find(({ id }) => id === levelId)!
    const { setUp } = textsOf(game.id, params)
    const said = [
      pages.length > mostKitPages ? `${pages.length} pages` : '',
      kitPages(game.id, levelId, 'Letter').length > mostKitPages ? 'too many on Letter' : '',
      texts[0].includes('Zoë') ? '' : 'no name on the letter',
      texts.slice(1).some((text) => text.includes('Zoë')) ? 'the name outside the letter' : '',
      // A level is called by its numbers, which the cards show too: its whole name stands nowhere, but where the
      // set-up says just that of the things.
      texts.slice(0, 2).some((text) => title.includes(',') && text.replace(setUp, '').includes(title))
        ? `the level: ${title}`
        : '',
      texts.slice(1).join(' ').includes('How to play') ? '' : 'not how to play',
      texts.some((text) => /school’s own rules/.test(text)) ? 'rules of the school' : '',
    ].filter(Boolean)
    return said.map((fault) => `${game.id} ${levelId}: ${fault}`)
  })
  expect(faults).toEqual([])
})

test('the letter asks for as many dice as are rolled', () => {
  const [letter] = kitPages('perch', 'difference')
  const text = textsIn(letter.marks).join(' ')
  expect(text).toContain('2 dice')
  expect(text).not.toMatch(/\ba die\b/)
})

test('every language has every word of the letter, with the child’s name once and where it belongs', () => {
  for (const language of languages) {
    const letter = letters[language]
    expect(letter.why.split('{name}')).toHaveLength(2)
    for (const [key, words] of Object.entries(letter)) if (key !== 'why') expect(words).not.toMatch(/[{}]/)
  }
  const [en, de, fr] = languages.map((language) => Object.values(letters[language]))
  // No word was left in another language.
  expect(de.filter((words, i) => words === en[i])).toEqual([])
  expect(fr.filter((words, i) => words === en[i])).toEqual([])
})

test('the English letter can be read at nine', () => {
  const text = Object.values(letters.en).join(' ').replace('{name}', 'Zoë')
  const sentence = text.split(/[.!?](?:\s|$)/).filter((part) => part.trim() !== '').length
  const word = text.split(/\s+/).length
  // Flesch–Kincaid grade (Kincaid et al. 1975); grade 4 is read at nine.
  expect(fleschKincaid({ sentence, word, syllable: syllable(text) })).toBeLessThanOrEqual(4)
})

test('the letter stands on one page at its own size in each language; how the game begins and ends is beside the steps', () => {
  for (const language of languages)
    for (const { game, levelId } of atHome) {
      const { params } = game.levels.find(({ id }) => id === levelId)!
      const { start, end } = textsOf(game.id, params)
      const [letter, howTo] = homeKit(
        { id: 'a', name: 'Clementine' },
        { gameId: game.id, levelId },
        language,
      ).items
      const [piece] = letter.part(1, { seed: 1, taskCards: 'small' }).pieces
      expect([game.id, levelId, language, piece.height <= 268]).toEqual([game.id, levelId, language, true])
      const [card] = howTo.part(1, { seed: 1, taskCards: 'small' }).pieces
      expect(textsIn(card.marks).join(' ').replace(/\s+/g, ' ')).toContain(start)
      expect(textsIn(card.marks).join(' ').replace(/\s+/g, ' ')).toContain(end)
    }
})

test('a name may hold anything: signs of replacement, brackets, other alphabets', () => {
  for (const name of ['$& $1', '{name}', 'נועם', '名前', 'x'.repeat(200)]) {
    const bundles = [
      homeKit({ id: 'a', name }, { gameId: atHome[0].game.id, levelId: atHome[0].levelId }, 'en'),
    ]
    const [letter] = pagesOf(
      { title: 'kit', bundles },
      { paper: 'A4', backs: 'none', seed: 1, taskCards: 'small', counts: countsToPrint(bundles, new Map()) },
    )
    // A long name is cut over lines: nothing of it is lost.
    expect(textsIn(letter.marks).join('').replace(/\s/g, '')).toContain(name.replace(/\s/g, ''))
  }
})
