'use client'

import { useState, useTransition } from 'react'
import type { Answer } from '@/server/answer'

/** Runs a server action with its busy state and its refusals; nothing typed is lost on a refusal. */
export function useSaving() {
  const [problems, setProblems] = useState<string[]>([])
  const [busy, start] = useTransition()
  function save<T>(work: () => Promise<Answer<T>>, done: (value: T) => void) {
    start(async () => {
      try {
        const result = await work()
        setProblems(result.ok ? [] : result.problems)
        if (result.ok) done(result.value)
      } catch {
        setProblems(['The server did not answer. Nothing was saved; try again.'])
      }
    })
  }
  return { problems, busy, save, setProblems }
}
