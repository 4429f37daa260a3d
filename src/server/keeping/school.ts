import { z } from 'zod'
import type { Database } from '@/data/connection'
import { isAdult } from '@/data/queries/classes'
import { serverDatabase } from '@/data/server-database'
import { NotHere, type UseCase } from '../use-case'

/** A use case about the whole installation: until there are accounts, for its one teacher. */
export function ofSchool<Schema extends z.ZodType, Output>(
  schema: Schema,
  run: (database: Database, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return async (viewer, raw) => {
    const input = schema.parse(raw)
    const database = await serverDatabase()
    if (!(await isAdult(database, viewer.adultId))) throw new NotHere()
    return run(database, input)
  }
}
