import { z } from 'zod'
import type { Database } from '@/data/connection'
import { isAdult } from '@/data/queries/classes'
import { serverDatabase } from '@/data/server-database'
import { discreetly, NotHere, parsed, type UseCase } from '../use-case'

/** A use case about the whole installation: until there are accounts, for its one teacher. */
export function ofSchool<Schema extends z.ZodType, Output>(
  schema: Schema,
  run: (database: Database, input: z.output<Schema>) => Promise<Output>,
): UseCase<z.input<Schema>, Output> {
  return (viewer, raw) =>
    discreetly(async () => {
      const input = parsed(schema, raw)
      const database = await serverDatabase()
      if (!(await isAdult(database, viewer.adultId))) throw new NotHere()
      return run(database, input)
    })
}
