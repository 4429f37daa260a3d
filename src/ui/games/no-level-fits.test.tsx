import { readIn } from '../testing/markup'
import { NoLevelFits, someOf } from './no-level-fits'

test('up to four are named, of more the first three and how many there are besides', () => {
  expect(someOf([])).toBe('')
  expect(someOf(['Ana', 'Bo', 'Noor', 'Zoe'])).toBe('Ana, Bo, Noor, Zoe')
  expect(someOf(['Ana', 'Bo', 'Noor', 'Vik', 'Zoe'])).toBe('Ana, Bo, Noor and 2 more')
})

test('whom no level fits is told with why, and nothing where one fits everybody', () => {
  const said = readIn(<NoLevelFits tooHard={['Ana', 'Bo']} tooEasy={[]} between={['Noor']} />)
  expect(said).toBe('No level fits Too hard Ana, Bo Between two levels Noor')
  expect(readIn(<NoLevelFits tooHard={[]} tooEasy={[]} between={[]} />)).toBe('')
})
