import { z } from 'zod'
import { nameToday } from '@/core/things'
import { digitalSchema, howSchema } from '@/core/evidence/mark'
import { judgements } from '@/core/evidence/observation'
import { surenesses, yearGroupSchema } from '@/core/evidence/prior'
import { historySchema } from '@/core/drafting/history'
import { groupsDraftSchema } from '@/core/grouping/draft'
import { groupingModeSchema } from '@/core/grouping/making/mode'
import { mostGroups } from '@/core/grouping/pennants'
import { mostLetters, noteTags } from '@/core/evidence/note'
import { mostMinutes } from '@/core/evidence/class-pace'
import { houseStyleSchema } from '@/core/house-style'
import { gameIdSchema } from '@/core/games'
import { planDraftSchema } from '@/core/planning/session/draft'
import { stationModes } from '@/core/planning/session/plan'
import { aroundSchema } from '@/core/planning/timetable'
import { hasStep, strandIds } from '@/core/skills'
import { classRoles } from '@/data/schema'
import type { IslandsDocument } from '@/data/backup/document'
import { isTimeZone } from '../clock'
import { Refused } from '../use-case'

const id = z.uuid()
const day = z.iso.date()
const at = z.iso.datetime({ offset: true })
const text = (most: number) => z.string().max(most)
const strand = z.enum(strandIds)
const small = z.number().int().min(0).max(1000)
const ofClass = { class_id: id }
const onStep = { strand, step: text(60) }

/** A row of each table of a class, as documents hold it. */
const rowSchemas = {
  adult: z.strictObject({ id, name: text(80) }),
  classroom: z.strictObject({
    id,
    name: z.string().min(1).max(40),
    year_group: yearGroupSchema,
    time_zone: text(60).refine(isTimeZone, 'No such time zone.'),
    created_at: at,
  }),
  membership: z.strictObject({ adult_id: id, class_id: id, role: z.enum(classRoles) }),
  house_style: z.strictObject({ ...ofClass, style: houseStyleSchema }),
  pupil: z.strictObject({
    ...ofClass,
    id,
    name: z.string().min(1).max(60),
    initial: text(10),
    year_group: yearGroupSchema,
    adult_near: z.boolean(),
    left_at: at.nullable(),
  }),
  pupil_link: z.strictObject({ ...ofClass, kind: z.enum(['apart', 'together']), pupil_a: id, pupil_b: id }),
  placement: z
    .strictObject({ ...ofClass, pupil_id: id, ...onStep, sureness: z.enum(surenesses), day })
    .refine(hasStep, { path: ['step'], error: 'The strand has no such step.' }),
  observation: z
    .strictObject({
      ...ofClass,
      id,
      pupil_id: id,
      adult_id: id,
      observer: id,
      visit_id: id.nullable(),
      ...onStep,
      judged: z.enum(judgements).nullable(),
      right: small.nullable(),
      of: z.number().int().min(1).max(1000).nullable(),
      weight: z.number().positive().max(1),
      digital: z.boolean(),
      guess: z.number().min(0).max(0.9),
      slips: digitalSchema.shape.slips.nullable(),
      how: howSchema.nullable(),
      school_day: day,
      corrects: id.nullable(),
      chain: id,
      standing: z.boolean(),
      made_at: at,
      stored_at: at,
    })
    .refine(hasStep, { path: ['step'], error: 'The strand has no such step.' })
    .refine(({ right, of }) => (right === null) === (of === null) && (right ?? 0) <= (of ?? 0), {
      path: ['right'],
      error: 'Not a tally.',
    }),
  grouping: z.strictObject({
    ...ofClass,
    id,
    version: z.number().int().min(1).max(100_000),
    day,
    strand,
    game_id: gameIdSchema,
    mode: groupingModeSchema,
    note: text(200),
    made_at: at,
  }),
  grouping_group: z.strictObject({
    ...ofClass,
    id,
    grouping_id: id,
    pennant: z
      .number()
      .int()
      .min(0)
      .max(mostGroups - 1),
    level_id: text(60),
    with_adult: z.boolean(),
  }),
  group_member: z.strictObject({
    ...ofClass,
    grouping_id: id,
    group_id: id,
    pupil_id: id,
    locked: z.boolean(),
    pair: small.nullable(),
  }),
  station_session: z.strictObject({
    ...ofClass,
    id,
    grouping_id: id,
    day,
    starts_at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
    slots: z.number().int().min(1).max(6),
    slot_minutes: z.number().int().min(1).max(120),
    around: aroundSchema,
    adults: small,
    state: z.enum(['planned', 'running', 'done']),
    begun_at: at.nullable(),
    slot: small,
    slot_started_at: at.nullable(),
    paused_at: at.nullable(),
    extra_minutes: small,
    before: z
      .strictObject({
        slot: small,
        slotStartedAt: z.iso.datetime().nullable(),
        pausedAt: z.iso.datetime().nullable(),
        extraMinutes: small,
      })
      .nullable(),
  }),
  station: z.strictObject({
    ...ofClass,
    id,
    session_id: id,
    position: small,
    game_id: gameIdSchema,
    mode: z.enum(stationModes),
    places: small.nullable(),
  }),
  visit: z.strictObject({
    ...ofClass,
    id,
    session_id: id,
    slot: small,
    station_id: id,
    group_id: id,
    level_id: text(60),
    level_chosen: z.boolean(),
    seats: z.array(z.array(id).max(60)).max(60),
    own_levels: z.record(id, text(60)),
    pinned: z.boolean(),
  }),
  attendance: z.strictObject({
    ...ofClass,
    session_id: id,
    pupil_id: id,
    absent: z.boolean(),
    from_slot: small,
    told_at: at.nullable(),
  }),
  note: z.strictObject({
    ...ofClass,
    id,
    pupil_id: id,
    adult_id: id,
    visit_id: id.nullable(),
    words: text(mostLetters),
    tags: z.array(z.enum(noteTags)),
    school_day: day,
    made_at: at,
    stored_at: at,
  }),
  finished_game: z.strictObject({
    ...ofClass,
    id,
    visit_id: id,
    minutes: z.number().positive().max(mostMinutes),
    made_at: at,
  }),
  visit_liking: z.strictObject({ ...ofClass, visit_id: id, liked: z.boolean(), told_at: at }),
  played: z.strictObject({
    ...ofClass,
    pupil_id: id,
    game_id: gameIdSchema,
    mode: z.enum(stationModes),
    day,
  }),
  draft: z.discriminatedUnion('kind', [
    z.strictObject({
      ...ofClass,
      kind: z.literal('groups'),
      revision: id,
      history: historySchema(groupsDraftSchema),
      saved_at: at,
    }),
    z.strictObject({
      ...ofClass,
      kind: z.literal('plan'),
      revision: id,
      history: historySchema(planDraftSchema),
      saved_at: at,
    }),
  ]),
  shelf_count: z.strictObject({
    ...ofClass,
    item: text(100).transform(nameToday),
    count: z.number().int().min(0).max(10_000),
  }),
  bag_item: z.strictObject({
    ...ofClass,
    item: text(200),
    count: z.number().int().min(1).max(10_000),
    missing: z.number().int().min(0).max(10_000),
    laminated: z.boolean(),
  }),
}

const mostRows = 300_000

/**
 * Holds every row of a class's document against what its table may hold.
 * @returns the id of its class
 * @throws {Refused} naming the table, the row and the field
 */
export function checkRows({ kind, tables }: IslandsDocument): string {
  const refuse = (what: string) => new Refused(`${what} Nothing was imported.`)
  if (kind !== 'class') throw refuse('This is not the document of a class.')
  const [room, ...more] = tables.classroom ?? []
  if (!room || more.length > 0) throw refuse('The document does not hold exactly one class.')
  const classId = id.safeParse(room.id)
  if (!classId.success) throw refuse('classroom: the class has no number.')
  let rows = 0
  for (const [table, all] of Object.entries(tables)) {
    const schema = rowSchemas[table as keyof typeof rowSchemas]
    if (!schema) throw refuse(`The document holds a table “${table}” that is not of a class.`)
    if ((rows += all.length) > mostRows) throw refuse('The document is too large.')
    all.forEach((row, index) => {
      const parsed = schema.safeParse(row)
      if (!parsed.success) {
        const [{ path, message }] = parsed.error.issues
        throw refuse(`${table}, row ${index + 1}, ${path.join('.')}: ${message}`)
      }
      if ('class_id' in row && row.class_id !== classId.data)
        throw refuse(`${table}, row ${index + 1}: it belongs to another class.`)
    })
  }
  return classId.data
}
