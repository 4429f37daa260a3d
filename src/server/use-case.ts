import type { z } from 'zod'
import type { Database, Transaction } from '@/data/connection'
import { serverDatabase } from '@/data/server-database'
import { inTransaction } from '@/data/transaction'
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

async function enter(db: Database | Transaction, viewer: Viewer, classId: string): Promise<ClassScope> {
  const scope = await enterClass(db, viewer.adultId, classId)
  if (!scope) throw new NotHere()
  return scope
}

/** A use case that reads one class: parse, authorise, run. */
export function readingClass<Schema extends z.ZodType<InClass>, Output>(
  schema: Schema,
  run: (scope: ClassScope, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    return run(await enter(await serverDatabase(), viewer, input.classId), input)
  }
}

/** A use case that changes one class, all of it in one transaction or nothing. */
export function changingClass<Schema extends z.ZodType<InClass>, Output>(
  schema: Schema,
  run: (scope: ClassScope, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    return inTransaction(await serverDatabase(), async (transaction) =>
      run(await enter(transaction, viewer, input.classId), input),
    )
  }
}

/**
 * The same with work before the transaction, so that it stays short: others wait while it lasts. `run` has to ask
 * again for whatever may have changed since.
 */
export function preparedChange<Schema extends z.ZodType<InClass>, Prepared, Output>(
  schema: Schema,
  prepare: (scope: ClassScope, input: z.output<Schema>) => Promise<Prepared>,
  run: (scope: ClassScope, prepared: Prepared, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    const database = await serverDatabase()
    const prepared = await prepare(await enter(database, viewer, input.classId), input)
    return inTransaction(database, async (transaction) =>
      run(await enter(transaction, viewer, input.classId), prepared, input),
    )
  }
}

/**
 * A use case that changes one class part by part, each in a transaction of its own, so that marks of others get
 * in between. What may refuse the whole is asked before the first part.
 */
export function changingInParts<Schema extends z.ZodType<InClass>, Part>(
  schema: Schema,
  partsOf: (scope: ClassScope, input: z.output<Schema>) => Promise<readonly Part[]>,
  run: (scope: ClassScope, part: Part) => Promise<void>,
): UseCase<z.input<Schema>, void> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    const database = await serverDatabase()
    for (const part of await partsOf(await enter(database, viewer, input.classId), input))
      await inTransaction(database, async (transaction) =>
        run(await enter(transaction, viewer, input.classId), part),
      )
  }
}
