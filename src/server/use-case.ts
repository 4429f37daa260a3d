import type { z } from 'zod'
import { serverDatabase } from '@/data/connection'
import { enterClass, type ClassScope } from '@/data/scope'
import type { Viewer } from './viewer'

/** What an action may do and for whom: the viewer always comes first. */
export type UseCase<Input, Output> = (viewer: Viewer, input: Input) => Promise<Output>

/** The viewer may not see this, or it does not exist: told alike. */
export class NotHere extends Error {
  constructor() {
    super('There is nothing here for you.')
    this.name = 'NotHere'
  }
}

/** The request can't be carried out as it stands; the message is for the person. Nothing was written. */
export class Refused extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'Refused'
  }
}

type InClass = { classId: string }

/** A use case that reads one class: parse, authorise, run. */
export function readingClass<Schema extends z.ZodType<InClass>, Output>(
  schema: Schema,
  run: (scope: ClassScope, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    const scope = await enterClass(await serverDatabase(), viewer.adultId, input.classId)
    if (!scope) throw new NotHere()
    return run(scope, input)
  }
}

/** A use case that changes one class, all of it in one transaction or nothing. */
export function changingClass<Schema extends z.ZodType<InClass>, Output>(
  schema: Schema,
  run: (scope: ClassScope, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    const database = await serverDatabase()
    return database.transaction(async (transaction) => {
      const scope = await enterClass(transaction, viewer.adultId, input.classId)
      if (!scope) throw new NotHere()
      return run(scope, input)
    })
  }
}
