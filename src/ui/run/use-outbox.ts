'use client'

import { useEffect, useEffectEvent, useRef, useState } from 'react'
import type { Mark } from '@/core/evidence/mark'
import type { Told } from '@/core/evidence/told'
import { Outbox, nothingWaiting, type QueueState, type ToTell } from './outbox'
import { OutboxStore, type Entry } from './outbox-store'

interface Resumed {
  /** The device, as an observer. */
  observer: string
  /** Marks an earlier page left waiting. */
  waiting: Entry[]
}

/** Whose marks are kept on the device, and where they go: an adult's to the class, those of a link to its own door. */
export interface MarksOf {
  classId: string
  from: string
}

/** The marks of a class as an adult of it records them. */
export const ofClass = (classId: string): MarksOf => ({ classId, from: `/c/${classId}` })

/**
 * The queue of a class's marks on this device as long as a page is open, with where it stands.
 * @param onResumed told once what an earlier page left
 */
export function useOutbox({ classId, from }: MarksOf, onResumed?: (found: Resumed) => void) {
  const [state, setState] = useState<QueueState>(nothingWaiting)
  /** Marks that are not even kept on the device yet. */
  const [recording, setRecording] = useState(0)
  const queue = useRef<Outbox>(null)
  const tell = useEffectEvent((found: Resumed) => onResumed?.(found))

  useEffect(() => {
    const made = new Outbox(from, new OutboxStore(classId), setState)
    queue.current = made
    // Left over from before a reload: it is sent.
    void made.resume().then(tell)
    const online = () => void made.flush()
    window.addEventListener('online', online)
    return () => {
      window.removeEventListener('online', online)
      made.close()
    }
  }, [classId, from])

  async function counted<T>(work: Promise<T>): Promise<T> {
    setRecording((count) => count + 1)
    try {
      return await work
    } finally {
      setRecording((count) => count - 1)
    }
  }

  return {
    /** Keeps a mark on the device, from where it is sent. */
    add: (...mark: Parameters<Outbox['add']>): Promise<Mark> => counted(queue.current!.add(...mark)),
    /** The same for what is told beside marks. */
    tell: (what: ToTell): Promise<Told> => counted(queue.current!.tell(what)),
    /** Where its marks stand. */
    state: { ...state, recording },
    retry: () => state.aside.forEach((one) => void queue.current?.retry(one)),
    letGo: () => state.aside.forEach((one) => void queue.current?.letGo(one)),
  }
}
