import { keyboard, type Shortcut } from './keyboard'

const kept = new Map<string, string>()
const listeners = new Set<unknown>()

beforeEach(() => {
  kept.clear()
  listeners.clear()
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    },
    window: {
      addEventListener: (_: string, listen: unknown) => listeners.add(listen),
      removeEventListener: (_: string, listen: unknown) => listeners.delete(listen),
    },
    HTMLElement: class {},
  })
})
afterAll(() => {
  for (const name of ['localStorage', 'window', 'HTMLElement']) Reflect.deleteProperty(globalThis, name)
})

function press(key: string, more: Partial<KeyboardEvent> = {}) {
  const event = { key, target: null, preventDefault: () => undefined, ...more }
  keyboard.press(event as unknown as KeyboardEvent)
}

/** Shortcuts that write down what they did. */
function bound(...keys: string[]) {
  const done: string[] = []
  const shortcuts = keys.map((one): Shortcut => ({ keys: one, title: one, run: () => done.push(one) }))
  return { done, remove: keyboard.add(shortcuts) }
}

test('a key does what it says as long as its page is there', () => {
  const { done, remove } = bound('u')
  press('u')
  remove()
  press('u')
  expect(done).toEqual(['u'])
  expect(listeners.size).toBe(0)
})

test('two keys in turn; a key in between begins anew', () => {
  const { done, remove } = bound('g p', 'p')
  press('g')
  press('p')
  press('p')
  press('g')
  press('x')
  press('p')
  expect(done).toEqual(['g p', 'p', 'p'])
  remove()
})

test('switched off means off, but for those with Ctrl', () => {
  const { done, remove } = bound('u', 'g p', 'Ctrl+z', 'Ctrl+Shift+z')
  keyboard.switch(false)
  press('u')
  press('g')
  press('p')
  press('z', { ctrlKey: true })
  press('Z', { ctrlKey: true, shiftKey: true })
  expect(done).toEqual(['Ctrl+z', 'Ctrl+Shift+z'])
  keyboard.switch(true)
  press('u')
  expect(done.at(-1)).toBe('u')
  remove()
})

test('letters typed into a field are no shortcuts', () => {
  const { done, remove } = bound('u')
  const field = Object.assign(new (globalThis.HTMLElement as new () => object)(), { closest: () => ({}) })
  press('u', { target: field as unknown as EventTarget })
  expect(done).toEqual([])
  remove()
})

test('the list holds what works now, the page’s own first', () => {
  const frame = bound('g p')
  const page = bound('1', '2')
  expect(keyboard.list().map(({ keys }) => keys)).toEqual(['1', '2', 'g p'])
  page.remove()
  expect(keyboard.list().map(({ keys }) => keys)).toEqual(['g p'])
  frame.remove()
})
