import { NextResponse } from 'next/server'
import { answer, DatabaseAway } from '@/server/answer'

export const problem = (status: number, words: string) =>
  NextResponse.json({ ok: false, problems: [words] }, { status })

/** The answer to a program: what a use case gives, or why not. */
export async function answered<T>(work: Promise<T>, made: (value: T) => Response): Promise<Response> {
  try {
    const result = await answer(work)
    return result.ok ? made(result.value) : NextResponse.json(result, { status: 422 })
  } catch (error) {
    if (error instanceof DatabaseAway) return problem(503, error.message)
    throw error
  }
}

/** A document to be kept as a file. */
export const asFile = (name: string, value: unknown) =>
  new Response(JSON.stringify(value, null, 1), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  })
