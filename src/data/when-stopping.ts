/** What is to be done before a server process ends: devices that listen are told first, what is held open is given back last. */
type Moment = 'first' | 'last'

/** By moment and name; on globalThis because routes, instrumentation and the server itself are bundled apart. */
const shared = globalThis as {
  islandsWhenStopping?: Record<Moment, Map<string, () => unknown>>
  islandsIsStopping?: boolean
}
const all = () => (shared.islandsWhenStopping ??= { first: new Map(), last: new Map() })

/**
 * Has something done when the server stops; under the same name once. Whoever begins something says how it ends, so that
 * what ends the server need not load it.
 */
export function whenStopping(moment: Moment, name: string, work: () => unknown) {
  all()[moment].set(name, work)
}

/** True once what is held open is being given back: nothing is opened any more. */
export const isStopping = (): boolean => shared.islandsIsStopping ?? false

/** Does all that was asked for at a moment; what fails holds up nothing else. */
export async function stopping(moment: Moment) {
  if (moment === 'last') shared.islandsIsStopping = true
  await Promise.allSettled([...all()[moment].values()].map(async (work) => work()))
}
