'use client'

import { useEffect, useEffectEvent, useRef, useState } from 'react'
import type { Mark } from '@/core/evidence/mark'
import { MarkQueue, nothingWaiting, type QueueState } from './mark-queue'
import { MarkStore } from './mark-store'

interface Resumed {
  /** The device, as an observer. */
  observer: string
  /** Marks an earlier page left waiting. */
  waiting: Mark[]
}

/**
 * The queue of a class's marks on this device as long as a page is open, with where it stands.
 * @param onResumed told once what an earlier page left
 */
export function useMarkQueue(classId: string, onResumed?: (found: Resumed) => void) {
  const [state, setState] = useState<QueueState>(nothingWaiting)
  /** Marks that are not even kept on the device yet. */
  const [recording, setRecording] = useState(0)
  const queue = useRef<MarkQueue>(null)
  const tell = useEffectEvent((found: Resumed) => onResumed?.(found))

  useEffect(() => {
    const made = new MarkQueue(classId, new MarkStore(classId), setState)
    queue.current = made
    // Left over from before a reload: it is sent.
    void made.resume().then(tell)
    const online = () => void made.flush()
    window.addEventListener('online', online)
    return () => {
      window.removeEventListener('online', online)
      made.close()
    }
  }, [classId])

  /** Keeps a mark on the device, from where it is sent. */
  async function add(...mark: Parameters<MarkQueue['add']>): Promise<Mark> {
    setRecording((count) => count + 1)
    try {
      return await queue.current!.add(...mark)
    } finally {
      setRecording((count) => count - 1)
    }
  }

  return {
    add,
    /** Where its marks stand. */
    state: { ...state, recording },
    retry: () => state.aside.forEach((one) => void queue.current?.retry(one)),
    letGo: () => state.aside.forEach((one) => void queue.current?.letGo(one)),
  }
}
