import { spawn, spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { answered } from './answered'

/** What the command line answers, without a process for every call. */
async function core(verb: string, input: unknown) {
  const { status, out, said } = await answered(verb, () =>
    Promise.resolve(typeof input === 'string' ? input : JSON.stringify(input)),
  )
  return { status, out, said: said.trim() }
}

test.each(['constructor', 'toString', '__proto__', 'nothing'])(
  '“%s” is no verb: exit 2, nothing out',
  async (verb) => {
    expect(await core(verb, {})).toMatchObject({
      status: 2,
      out: '',
      said: expect.stringContaining('not a verb') as string,
    })
  },
)

const children = ['a', 'b', 'c', 'd'].map((id, i) => ({ id, ability: i }))
const levels = [{ id: 'one', difficulty: 0 }]
const group = { children, levels, groups: { count: 2, min: 1, max: 4 } }
const cards = { source: { kind: 'cards', low: 0, high: 10 } }

test.each<[string, string, unknown, RegExp]>([
  [
    'a child apart from itself',
    'group',
    { ...group, apart: [['a', 'a']] },
    /^apart\.0: A child is in it twice/,
  ],
  ['two levels with one id', 'group', { ...group, levels: [...levels, ...levels] }, /^levels\.1\.id/],
  ['a present group of nobody', 'group', { ...group, current: { z: 0 } }, /^current\.z/],
  ['a present group that is not there', 'group', { ...group, current: { a: 5 } }, /^current\.a/],
  [
    'a lock on __proto__',
    'group',
    JSON.stringify({ ...group, locked: { X: 0 } }).replace('X', '__proto__'),
    /^locked: /,
  ],
  [
    'a child called __proto__',
    'group',
    { ...group, children: [...children, { id: '__proto__', ability: 1 }] },
    /^children\.4\.id/,
  ],
  [
    'prior and evidence without common mass',
    'estimate',
    {
      difficulties: [0, 1.5],
      prior: { mean: -40, sd: 0.05 },
      observations: [{ day: 0, step: 1, right: 1000, of: 1000 }],
    },
    /^observations: The evidence contradicts/,
  ],
  [
    'a set too large',
    'materials',
    { visits: [{ slot: 0, station: 0, game: 'landfall', children: 9, sets: [9] }] },
    /^visits\.0\.sets\.0/,
  ],
  [
    'a goal that is no number',
    'analyse',
    { game: 'landfall', params: { ...cards, start: 0, goal: 'ten' } },
    /^params/,
  ],
  ['half a JSON', 'games', '{"a":', /^input: not JSON/],
])('%s: exit 2, the field named, nothing out', async (_title, verb, input, words) => {
  const { status, out, said } = await core(verb, input)
  expect({ status, out }).toEqual({ status: 2, out: '' })
  expect(said).toMatch(words)
})

const planned = {
  slots: 1,
  groups: [{ id: 'kelp', children: 4 }],
  stations: [{ id: 's', mode: 'own', places: 6 }],
  offers: [{ station: 's', game: 'landfall', success: {} }],
  pins: [{ session: 0, slot: 0, group: 'kelp', station: 's' }],
}
test('a pin that can’t be played and two pins on a cell are told', async () => {
  expect((await core('plan', planned)).said).toMatch(/^pins\.0: Nothing that is offered there/)
  const offers = [{ station: 's', game: 'landfall', success: { kelp: 0.8 } }]
  expect((await core('plan', { ...planned, offers })).status).toBe(0)
  const twice = { ...planned, offers, pins: [...planned.pins, ...planned.pins] }
  expect((await core('plan', twice)).said).toMatch(/^pins\.1: The group is pinned there already/)
})

// Each of these never answered, or overflowed the stack.
test.each<[string, object, string]>([
  [
    'a hundred numbers asked for by chance',
    { game: 'fog-number', level: 'to-100', choice: 'novice' },
    'simulated',
  ],
  ['the largest operations', { game: 'low-tide', level: 'operations' }, 'exact'],
  [
    'twelve numbers with three dice',
    { game: 'low-tide', params: { numbers: 12, dice: 3, parts: 'any' }, games: 200 },
    'simulated',
  ],
  ['two markers on the grid', { game: 'grid-hop', level: 'two-markers' }, 'exact'],
  [
    'a pack of a thousand',
    {
      game: 'landfall',
      params: { start: 0, goal: 10, source: { kind: 'cards', low: 0, high: 1000 }, finish: 'exact' },
      games: 20,
    },
    'simulated',
  ],
  ['runs of six among twelve', { game: 'card-run', params: { high: 12, row: 6 }, games: 200 }, 'exact'],
  [
    'a card of one number only',
    {
      game: 'five-flags',
      params: {
        source: { kind: 'dice', count: 2 },
        card: Array.from({ length: 5 }, () => [3, 3, 3, 3, 3]),
        size: 5,
        free: false,
      },
      games: 200,
    },
    'simulated',
  ],
])(
  '%s: answered',
  async (_title, input, method) => {
    const { status, out } = await core('analyse', input)
    expect(status).toBe(0)
    const {
      method: found,
      set,
      sample,
    } = JSON.parse(out) as {
      method: string
      set: { goes: { mean: number } }
      sample: { halfWidth: { goes: number } } | null
    }
    expect(found).toBe(method)
    expect(set.goes.mean).toBeGreaterThan(1)
    // A chain for this very case, written down apart from the product, gives 8.394 questions.
    if ((input as { game: string }).game === 'fog-number')
      expect(Math.abs(set.goes.mean - 8.394)).toBeLessThan(1.5 * sample!.halfWidth.goes)
  },
  120_000,
)

test('as a process: what is answered goes to standard output, what is refused to standard error, with its code', () => {
  const run = (verb: string, input: string) => {
    const { status, stdout, stderr } = spawnSync(join('bin', 'islands-core'), [verb], {
      input,
      encoding: 'utf8',
    })
    return { status, stdout, stderr }
  }
  expect(run('games', '{}')).toMatchObject({
    status: 0,
    stdout: expect.stringMatching(/^\{.*\}\n$/s) as string,
  })
  expect(run('games', '{"a":')).toMatchObject({
    status: 2,
    stdout: '',
    stderr: expect.stringMatching(/^input: not JSON/m) as string,
  })
})

test('what comes slowly and is large is read to its end', async () => {
  const child = spawn(join('bin', 'islands-core'), ['estimate'], { stdio: ['pipe', 'pipe', 'inherit'] })
  const observations = Array.from({ length: 4400 }, (_, i) => ({
    day: Math.floor(i / 50),
    step: i % 2,
    judged: 'help',
  }))
  const text = JSON.stringify({ difficulties: [0, 1.5], prior: { mean: 0, sd: 1 }, observations })
  expect(text.length).toBeGreaterThan(150_000)
  let out = ''
  child.stdout.on('data', (chunk) => (out += chunk))
  const ended = new Promise((resolve) => child.on('exit', resolve))
  await new Promise((resolve) => setTimeout(resolve, 3000))
  child.stdin.write(text.slice(0, 70_000))
  await new Promise((resolve) => setTimeout(resolve, 500))
  child.stdin.end(text.slice(70_000))
  expect(await ended).toBe(0)
  expect(JSON.parse(out)).toHaveProperty('mean')
})

test('what is refused is told on one line of no great length each, whatever was given', async () => {
  const told = async (verb: string, input: string) => {
    const { status, said } = await answered(verb, () => Promise.resolve(input))
    expect(status).toBe(2)
    return said
  }
  for (const said of [
    await told('y'.repeat(1_000_000), '{}'),
    await told('measure', '{"game":\n\n nothing\n}'),
    await told('measure', JSON.stringify({ game: 'z'.repeat(1_000_000) })),
  ]) {
    expect(said.split('\n')).toHaveLength(2)
    expect(said.length).toBeLessThan(400)
  }
})
