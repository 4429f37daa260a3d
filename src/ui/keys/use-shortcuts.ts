'use client'

import { useEffect, useEffectEvent, useSyncExternalStore } from 'react'
import { keyboard, type Shortcut } from './keyboard'

/** Shortcuts that work as long as the component is there; they do what they mean at the moment of the press. */
export function useShortcuts(shortcuts: readonly Shortcut[]) {
  const run = useEffectEvent((keys: string) => shortcuts.find((one) => one.keys === keys)?.run())
  // Bound anew only when there are others, not each time the page is drawn.
  const shape = JSON.stringify(shortcuts.map(({ keys, title }) => [keys, title]))
  useEffect(() => {
    const bound = (JSON.parse(shape) as [string, string][]).map(([keys, title]) => ({
      keys,
      title,
      run: () => run(keys),
    }))
    return keyboard.add(bound)
  }, [shape])
}

const none: readonly Shortcut[] = []

/** Every shortcut that works now, for the list of them. */
export const useListed = () => useSyncExternalStore(keyboard.subscribe, keyboard.list, () => none)

/** Whether single keys are switched on. */
export const useKeysOn = () => useSyncExternalStore(keyboard.subscribe, keyboard.isOn, () => true)
