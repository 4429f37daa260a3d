'use client'

import { useEffect, useRef, useState } from 'react'
import type { Action } from '@/server/answer'
import type { previewPages } from '@/server/print/print'

type Asked = Parameters<Action<typeof previewPages>>[0]
type ShownPage = Awaited<ReturnType<typeof previewPages>>['pages'][number]

export interface Preview {
  /** Null: not known yet. */
  total: number | null
  pages: readonly ShownPage[]
  lettersWithout: readonly string[]
  problems: readonly string[]
  /** Asked for, and on their way. */
  waiting: boolean
}

/** A count that is being typed waits this long before pages are asked for. */
const settleMs = 120

/** The pages of a job as far as they have been looked at; they change with the job. */
export function usePreview(asked: Asked, ask: Action<typeof previewPages>) {
  const [preview, setPreview] = useState<Preview>({
    total: null,
    pages: [],
    lettersWithout: [],
    problems: [],
    waiting: true,
  })
  const key = JSON.stringify(asked)
  const newest = useRef(key)

  useEffect(() => {
    newest.current = key
    const timer = setTimeout(() => {
      setPreview((now) => ({ ...now, waiting: true }))
      void ask(JSON.parse(key) as Asked).then(
        (answer) => {
          if (newest.current !== key) return
          setPreview(
            answer.ok
              ? { ...answer.value, problems: [], waiting: false }
              : { total: null, pages: [], lettersWithout: [], problems: answer.problems, waiting: false },
          )
        },
        () => {
          if (newest.current === key)
            setPreview((now) => ({
              ...now,
              problems: ['The pages could not be fetched. Is the server there?'],
              waiting: false,
            }))
        },
      )
    }, settleMs)
    return () => clearTimeout(timer)
  }, [key, ask])

  /** The next pages, where there are more. */
  async function more() {
    const { total, pages, waiting } = preview
    if (waiting || total === null || pages.length >= total) return
    setPreview((now) => ({ ...now, waiting: true }))
    const answer = await ask({ ...asked, from: pages.length }).catch(() => null)
    if (newest.current !== key) return
    setPreview((now) =>
      answer?.ok
        ? { ...now, pages: [...now.pages, ...answer.value.pages], waiting: false }
        : { ...now, problems: answer?.problems ?? ['The pages could not be fetched.'], waiting: false },
    )
  }
  return { preview, more }
}
