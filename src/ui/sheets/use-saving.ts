'use client'

import { useState, useTransition } from 'react'
import type { Answer } from '@/server/answer'

/** What to say when a change failed without a reason of the server's. */
const unknown =
  'Islands didn’t answer, so this may or may not be saved. Reload the page to check, then try again.'
const ourFault =
  'Something went wrong in Islands, so this may not be saved. Reload the page to check, then try again.'
const notShown = 'It’s saved, but this page couldn’t show it. Reload the page.'

/** Browsers say so of a request that never came to an answer, each in words of its own but with this class. */
const isNoAnswer = (error: unknown) => error instanceof TypeError

/**
 * Makes a change and says what became of it. A refusal brings the server's reason. Where no answer came nobody knows, and it
 * says that; where the change is made and only showing it failed, it says that, too.
 * @returns what to tell the person: nothing where all went well
 */
export async function saved<T>(work: () => Promise<Answer<T>>, done: (value: T) => void): Promise<string[]> {
  let result: Answer<T>
  try {
    result = await work()
  } catch (error) {
    console.error('A change failed', error)
    return [isNoAnswer(error) ? unknown : ourFault]
  }
  if (!result.ok) return result.problems
  try {
    done(result.value)
    return []
  } catch (error) {
    console.error('A change was saved and could not be shown', error)
    return [notShown]
  }
}

/** Runs a server action with its busy state and its refusals; nothing typed is lost on a refusal. */
export function useSaving() {
  const [problems, setProblems] = useState<string[]>([])
  const [busy, start] = useTransition()
  function save<T>(work: () => Promise<Answer<T>>, done: (value: T) => void) {
    start(async () => {
      let own: string[] | null = null
      const told = await saved(work, (value) => {
        own = []
        setProblems([])
        done(value)
      })
      // What `done` itself had to say stands.
      if (own === null || told.length > 0) setProblems(told)
    })
  }
  return { problems, busy, save, setProblems }
}
