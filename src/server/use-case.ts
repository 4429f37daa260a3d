import { DrizzleQueryError } from 'drizzle-orm'
import type { z } from 'zod'
import { DatabaseAway, isAway } from '@/data/away'
import type { Database, Transaction } from '@/data/connection'
import { serverDatabase } from '@/data/server-database'
import { inTransaction, sqlStateOf } from '@/data/transaction'
import { enterClass, type ClassScope } from '@/data/scope'
import { partiesOf } from '@/data/queries/adults'
import { may, type UseCaseName } from './access/who-may'
import { onBehalfOf } from './asker'
import { now } from './clock'
import { Together, type Answer } from './together'
import type { Viewer } from './viewer'

/** What an action may do and for whom: the viewer always comes first. */
export type UseCase<Input, Output> = (viewer: Viewer, input: Input) => Promise<Output>

/** The viewer may not see this, or it does not exist: told alike. */
export class NotHere extends Error {
  constructor(message = 'There is nothing here for you.') {
    super(message)
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

/** A fault of ours or of the database, told without what was in its hands: messages and logs hold no name of a child. */
class StoreFault extends Error {
  constructor(cause: unknown) {
    const { constraint, name } = (cause ?? {}) as { constraint?: unknown; name?: unknown }
    const told = [sqlStateOf(cause), constraint].filter(Boolean).join(', ')
    super(`The database refused a statement (${told || `no code, ${String(name)}`}).`)
    this.name = 'StoreFault'
  }
}

/** Runs a use case's work; what the database says of it goes no further than this. */
export async function discreetly<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    if (isAway(error)) throw new DatabaseAway()
    if (!(error instanceof DrizzleQueryError)) throw error
    throw new StoreFault(error.cause)
  }
}

const discreetlyFor = <T>(viewer: Viewer, work: () => Promise<T>): Promise<T> =>
  onBehalfOf(viewer, () => discreetly(work))

/** Text that no database keeps: it is refused before anything is done. */
function refuseNul(value: unknown, depth = 0) {
  if (typeof value === 'string') {
    if (value.includes('\u0000')) throw new Refused('There is a character in it that can’t be kept.')
  } else if (typeof value === 'object' && value !== null && depth < 12)
    for (const [key, inner] of Object.entries(value)) {
      refuseNul(key)
      refuseNul(inner, depth + 1)
    }
}

/** Input as the schema says, or a refusal. */
export function parsed<Schema extends z.ZodType>(schema: Schema, raw: unknown): z.output<Schema> {
  refuseNul(raw)
  return schema.parse(raw)
}

type InClass = { classId: string }

async function enter(
  db: Database | Transaction,
  viewer: Viewer,
  name: UseCaseName,
  classId: string,
): Promise<ClassScope> {
  const scope = await enterClass(db, viewer, classId)
  if (!scope || !may(scope.party, name)) throw new NotHere()
  if (scope.link && scope.link.until <= now()) throw new NotHere()
  return scope
}

/** A use case that reads one class: parse, authorise, run. */
export function readingClass<Schema extends z.ZodType<InClass>, Output>(
  name: UseCaseName,
  schema: Schema,
  run: (scope: ClassScope, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return (viewer, raw) =>
    discreetlyFor(viewer, async () => {
      const input = parsed(schema, raw)
      return run(await enter(await serverDatabase(), viewer, name, input.classId), input)
    })
}

/** A use case that changes one class, all of it in one transaction or nothing. */
export function changingClass<Schema extends z.ZodType<InClass>, Output>(
  name: UseCaseName,
  schema: Schema,
  run: (scope: ClassScope, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return (viewer, raw) =>
    discreetlyFor(viewer, async () => {
      const input = parsed(schema, raw)
      return inTransaction(await serverDatabase(), async (transaction) =>
        run(await enter(transaction, viewer, name, input.classId), input),
      )
    })
}

/**
 * The same for what comes so often that several wait at once: those of one adult and class are done in one
 * transaction, and each is answered for itself.
 */
export function changingClassTogether<Schema extends z.ZodType<InClass>, Output>(
  name: UseCaseName,
  schema: Schema,
  run: (scope: ClassScope, inputs: readonly z.output<Schema>[]) => Promise<readonly Answer<Output>[]>,
): UseCase<z.input<Schema>, Output> {
  type Asked = { viewer: Viewer; input: z.output<Schema> }
  const together = new Together<Asked, Output>(
    async (take) =>
      inTransaction(await serverDatabase(), async (transaction) => {
        const asked = take()
        const [{ viewer, input }] = asked
        const scope = await enter(transaction, viewer, name, input.classId)
        return run(
          scope,
          asked.map((one) => one.input),
        )
      }),
    (error) => error instanceof NotHere || isAway(error),
  )
  return (viewer, raw) =>
    discreetlyFor(viewer, async () => {
      const input = parsed(schema, raw)
      return together.do(`${viewer.linkId ?? viewer.adultId} ${input.classId}`, { viewer, input })
    })
}

/**
 * A change of one class with work before the transaction, so that it stays short: others wait while it lasts. `run` has to ask
 * again for whatever may have changed since.
 */
export function preparedChange<Schema extends z.ZodType<InClass>, Prepared, Output>(
  name: UseCaseName,
  schema: Schema,
  prepare: (scope: ClassScope, input: z.output<Schema>) => Promise<Prepared>,
  run: (scope: ClassScope, prepared: Prepared, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return (viewer, raw) =>
    discreetlyFor(viewer, async () => {
      const input = parsed(schema, raw)
      const database = await serverDatabase()
      const prepared = await prepare(await enter(database, viewer, name, input.classId), input)
      return inTransaction(database, async (transaction) =>
        run(await enter(transaction, viewer, name, input.classId), prepared, input),
      )
    })
}

/**
 * A use case that changes one class part by part, each in a transaction of its own, so that marks of others get
 * in between. What may refuse the whole is asked before the first part.
 */
export function changingInParts<Schema extends z.ZodType<InClass>, Part>(
  name: UseCaseName,
  schema: Schema,
  partsOf: (scope: ClassScope, input: z.output<Schema>) => Promise<readonly Part[]>,
  run: (scope: ClassScope, part: Part) => Promise<void>,
): UseCase<z.input<Schema>, void> {
  return (viewer, raw) =>
    discreetlyFor(viewer, async () => {
      const input = parsed(schema, raw)
      const database = await serverDatabase()
      for (const part of await partsOf(await enter(database, viewer, name, input.classId), input))
        await inTransaction(database, async (transaction) =>
          run(await enter(transaction, viewer, name, input.classId), part),
        )
    })
}

/** A use case about the school or about oneself, for an adult whatever its class. */
export function asAdult<Schema extends z.ZodType, Output>(
  name: UseCaseName,
  schema: Schema,
  run: (database: Database, input: z.output<Schema>, viewer: Viewer) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return (viewer, raw) =>
    discreetlyFor(viewer, async () => {
      const input = parsed(schema, raw)
      const database = await serverDatabase()
      const parties = viewer.linkId === null ? await partiesOf(database, viewer.adultId) : []
      if (!parties.some((party) => may(party, name))) throw new NotHere()
      return run(database, input, viewer)
    })
}
