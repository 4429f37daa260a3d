import { customType, timestamp } from 'drizzle-orm/pg-core'

/** Cells of an ability grid, as the bytes of a Float64Array: read back to the last bit. */
export const density = customType<{ data: Float64Array; driverData: Buffer }>({
  dataType: () => 'bytea',
  toDriver: (value) => Buffer.from(value.buffer, value.byteOffset, value.byteLength),
  fromDriver: (bytes) => new Float64Array(Uint8Array.from(bytes).buffer),
})

/** A moment, in UTC. */
export const moment = () => timestamp({ withTimezone: true, mode: 'date' })
export const now = () => moment().notNull().defaultNow()
