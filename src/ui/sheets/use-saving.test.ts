import { saved } from './use-saving'

beforeEach(() => jest.spyOn(console, 'error').mockImplementation(() => undefined))
afterEach(() => jest.restoreAllMocks())
const nothing = () => undefined

test('what became of a change is said as far as it is known, and logged where it failed', async () => {
  expect(await saved(() => Promise.resolve({ ok: true, value: 1 }), nothing)).toEqual([])
  const refused = { ok: false as const, problems: ['The session has ended.'] }
  expect(await saved(() => Promise.resolve(refused), nothing)).toEqual(['The session has ended.'])
  expect(console.error).not.toHaveBeenCalled()

  const noAnswer = await saved(() => Promise.reject(new TypeError('Failed to fetch')), nothing)
  expect(noAnswer[0]).toContain('may or may not be saved')
  const fault = await saved(() => Promise.reject(new Error('An error occurred on the server')), nothing)
  expect(fault[0]).toContain('Something went wrong in Islands')
  const notShown = await saved(
    () => Promise.resolve({ ok: true, value: 1 }),
    () => {
      throw new TypeError('x is undefined')
    },
  )
  expect(notShown[0]).toContain('It’s saved')
  expect(console.error).toHaveBeenCalledTimes(3)
})
