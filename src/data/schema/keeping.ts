import { pgTable, uuid } from 'drizzle-orm/pg-core'
import { now } from './columns'

/**
 * A child that was erased and may still be in files: written down with the erase itself and taken away once every file is
 * done, so that an erase that was broken off is finished later. It points at nothing, for the child is gone.
 */
export const erasure = pgTable('erasure', {
  pupilId: uuid().primaryKey(),
  classId: uuid().notNull(),
  askedAt: now(),
})
