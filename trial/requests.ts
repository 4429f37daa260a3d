import { rmSync } from 'node:fs'
import { actionNames, askAction } from '../e2e/support/actions'
import { runningSession } from '../e2e/support/school'
import { freshFolder } from '../e2e/support/server'
import { pick, spoilt } from './spoilt'
import { markFor, say, serveFolder } from './support'

/** Text as it stands in an address where something else belongs. */
const oddText = [
  '',
  '%',
  '%00',
  '%ff',
  '..',
  'x',
  'toString',
  '__proto__',
  '-1',
  '1e9',
  'NaN',
  '[]',
  '{}',
  '😀',
  'a'.repeat(900),
]

const places = [
  '', '/class?strands=add', '/groups', '/games?group=0&slot=12&to=20', '/games/landfall?level=to-20-die&players=2&slot=10',
  '/games/fog-number?level=to-100&rules={"high":50}', '/plan?add=perch', '/run', '/progress?strand=add', '/settings', '/export',
] // prettier-ignore

/** An address with one of its parts replaced, doubled or taken away. */
function spoiltPath(path: string): string {
  const [place, query = ''] = path.split('?')
  const parts = place.split('/')
  if (Math.random() < 0.4) parts[1 + Math.floor(Math.random() * (parts.length - 1))] = pick(oddText)
  const values = query.split('&').flatMap((one) => {
    const [key, value] = one.split('=')
    const turn = Math.random()
    return turn < 0.3
      ? [`${key}=${pick(oddText)}`]
      : turn < 0.45
        ? [one, `${key}=${value}`]
        : turn < 0.55
          ? []
          : [one]
  })
  return `${parts.join('/')}${query && `?${values.join('&')}`}`
}

/** Sends every route and every action of a running server what does not belong there: no answer may be a fault. */
export async function requests(calls: number, untilMs: number) {
  const folder = freshFolder()
  const { classId, visits } = await runningSession(folder)
  const server = (await serveFolder(folder))!
  const faults = new Map<string, number>()
  const statuses = new Map<number, number>()
  const child = visits[0].children[0].id
  const document = (await fetch(`${server.url}/c/${classId}/export`).then((answer) =>
    answer.json(),
  )) as object
  const json = (method: string, body: unknown) => ({
    method,
    headers: { 'content-type': pick(['application/json', 'text/plain', 'x']) },
    body: typeof body === 'string' ? body : (JSON.stringify(body) ?? ''),
  })
  const asks: [string, () => Promise<Response>][] = [
    ...places.map((place): [string, () => Promise<Response>] => [
      place || '/',
      () =>
        fetch(server.url + spoiltPath(`/c/${classId}${place}`), {
          method: pick(['GET', 'GET', 'GET', 'HEAD', 'POST', 'PUT', 'DELETE']),
          headers: pick<Record<string, string>>([{}, { rsc: '1' }, { 'next-action': 'x' }, { accept: '*/*', range: 'bytes=5-1' }]),
        }),
    ]),
    ['marks', () => fetch(`${server.url}/c/${classId}/marks`, json('POST', spoilt(markFor(visits[0].id, child), pick([0.05, 0.3]))))],
    ['import', () => fetch(`${server.url}/settings/import?mode=${pick(['preview', 'merge', 'x', ''])}`, json('POST', spoilt(document, pick([0.002, 0.05]))))],
    ...actionNames().map((name): [string, () => Promise<Response>] => [
      name,
      () => askAction(server.url, `/c/${classId}/plan`, name, spoilt({ classId, pupilId: child, gameId: 'landfall', name: 'x', sessionId: classId }, 0.2)),
    ]),
  ] // prettier-ignore
  let call = 0
  for (; call < calls && Date.now() < untilMs; call++) {
    const [name, ask] = asks[call % asks.length]
    const answer = await ask().catch((error: Error) => error)
    if (answer instanceof Error) {
      // A request that can't be written, or that the server breaks off after its answer: no fault of the server.
      continue
    }
    await answer.arrayBuffer().catch(() => undefined)
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
    if (answer.status >= 500) {
      const fault = `${name}: ${answer.status}`
      if (!faults.has(fault)) say(`fault: ${fault} at ${answer.url}`)
      faults.set(fault, (faults.get(fault) ?? 0) + 1)
    }
    if (call % 1000 === 999) say(`${call + 1} requests`)
  }
  const alive = (await fetch(`${server.url}/c/${classId}/run`)).status === 200
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
  return {
    requests: call,
    kinds: asks.length,
    answers: Object.fromEntries([...statuses].sort()),
    faults: Object.fromEntries(faults),
    alive,
  }
}
