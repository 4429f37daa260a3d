import { z } from 'zod'

/** Problems with a part of the input, told like those its schema finds. */
export function inputProblems(path: string, messages: string[]): z.ZodError {
  return new z.ZodError(
    messages.map((message) => ({ code: 'custom', path: [path], message, input: undefined })),
  )
}
