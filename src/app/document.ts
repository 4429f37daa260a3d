import { NextResponse } from 'next/server'
import { answer, DatabaseAway, isBusy } from '@/server/answer'

const problem = (status: number, words: string) =>
  NextResponse.json({ ok: false, problems: [words] }, { status })

/** The object a program sent; or the answer that it is none. */
export async function objectIn(request: Request): Promise<object | Response> {
  let body: unknown
  try {
    body = await request.json()
  } catch {
    return problem(400, 'Not JSON.')
  }
  return typeof body !== 'object' || body === null || Array.isArray(body)
    ? problem(400, 'Not an object.')
    : body
}

/**
 * The answer to a program: what a use case gives, or why not. A refusal (422) is not to be sent again; while the
 * database is away (503) it is.
 */
export async function answered<T>(work: Promise<T>, made: (value: T) => Response): Promise<Response> {
  try {
    return made(await work)
  } catch (error) {
    if (error instanceof DatabaseAway || isBusy(error)) return problem(503, error.message)
    return NextResponse.json(await answer(Promise.reject(error)), { status: 422 })
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
