import { z } from 'zod'
import { newId } from './new-id'

test('ids are UUIDs, all different, and need no secure context', () => {
  const secure = crypto.randomUUID
  Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true })
  const ids = Array.from({ length: 1000 }, newId)
  Object.defineProperty(crypto, 'randomUUID', { value: secure, configurable: true })
  for (const id of ids) expect(z.uuid({ version: 'v4' }).safeParse(id).success).toBe(true)
  expect(new Set(ids).size).toBe(ids.length)
})
