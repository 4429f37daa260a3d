import { AsyncLocalStorage } from 'node:async_hooks'
import type { Viewer } from './viewer'

/** On globalThis because routes are bundled apart. */
const shared = globalThis as { islandsAsker?: AsyncLocalStorage<string> }
const asker = () => (shared.islandsAsker ??= new AsyncLocalStorage<string>())

/** Does the work of a use case for somebody: long work that comes of it waits among that person's. */
export const onBehalfOf = <T>({ linkId, adultId }: Viewer, work: () => Promise<T>): Promise<T> =>
  asker().run(linkId ?? adultId, work)

/** Who asks just now; empty: nobody in particular. */
export const currentAsker = (): string => asker().getStore() ?? ''
