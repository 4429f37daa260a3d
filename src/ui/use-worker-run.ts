'use client'

import type { Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'

/** Wraps a listener so that a worker can call it; what a stopped worker still says is not heard. */
type Hear = <Said extends unknown[]>(listen: (...said: Said) => void) => (...said: Said) => void

/**
 * One run at a time in a web worker of its own: stopped by ending the worker, so that a run need not ask
 * whether it is still wanted.
 * @param make starts the worker; written at the place of use, where the bundler finds it
 * @param onFail hears that a run broke off, by a fault of ours or because the worker could not be loaded
 */
export function useWorkerRun<Api>(make: () => Worker, onFail: () => void = () => undefined) {
  const [busy, setBusy] = useState(false)
  const current = useRef<Worker | null>(null)
  useEffect(() => () => current.current?.terminate(), [])

  function stop() {
    current.current?.terminate()
    current.current = null
    setBusy(false)
  }

  async function start<T>(call: (api: Remote<Api>, hear: Hear) => Promise<T>, done: (value: T) => void) {
    stop()
    setBusy(true)
    const started = make()
    current.current = started
    const fail = () => {
      if (current.current !== started) return
      stop()
      onFail()
    }
    started.onerror = fail
    const { proxy, wrap } = await import('comlink')
    // Stopped in the meantime: then this worker is no longer the one that counts.
    if (current.current !== started) return
    try {
      const value = await call(wrap<Api>(started), (listen) =>
        proxy((...said) => {
          if (current.current === started) listen(...said)
        }),
      )
      if (current.current !== started) return
      stop()
      done(value)
    } catch {
      fail()
    }
  }

  return { busy, start, stop }
}
