import { and, asc, desc, eq, isNotNull, max } from 'drizzle-orm'
import type { GroupingMode } from '@/core/grouping/mode'
import type { StrandId } from '@/core/skills'
import { grouping, groupingGroup, groupMember } from '../schema'
import type { ClassScope } from '../scope'

interface StoredGroup {
  pennant: number
  levelId: string
  pupils: string[]
  /** An adult stays near this group. */
  withAdult: boolean
  /** Children the teacher keeps in this group. */
  locked: string[]
  /** Child → the pair it plays in, counted within the grouping. */
  pairs: Record<string, number>
}

export interface StoredGrouping {
  id: string
  version: number
  day: string
  strand: StrandId
  gameId: string
  mode: GroupingMode
  note: string
  groups: StoredGroup[]
}

/** One grouping with its groups in order: the newest, or the one asked for. */
export async function groupingOf(scope: ClassScope, id?: string): Promise<StoredGrouping | null> {
  const { db, classId } = scope
  const newest = db
    .select({ id: grouping.id })
    .from(grouping)
    .where(and(eq(grouping.classId, classId), id ? eq(grouping.id, id) : undefined))
    .orderBy(desc(grouping.version))
    .limit(1)
  const rows = await db
    .select()
    .from(grouping)
    .innerJoin(groupingGroup, eq(groupingGroup.groupingId, grouping.id))
    .leftJoin(
      groupMember,
      and(eq(groupMember.groupingId, grouping.id), eq(groupMember.position, groupingGroup.position)),
    )
    .where(and(eq(grouping.classId, classId), eq(grouping.id, newest)))
    .orderBy(asc(groupingGroup.position))
  if (rows.length === 0) return null
  const groups: StoredGroup[] = []
  for (const { grouping_group: group, group_member: member } of rows) {
    const own = (groups[group.position] ??= {
      pennant: group.pennant,
      levelId: group.levelId,
      pupils: [],
      withAdult: group.withAdult,
      locked: [],
      pairs: {},
    })
    if (!member) continue
    own.pupils.push(member.pupilId)
    if (member.locked) own.locked.push(member.pupilId)
    if (member.pair !== null) own.pairs[member.pupilId] = member.pair
  }
  const { version, day, strand, gameId, mode, note } = rows[0].grouping
  return { id: rows[0].grouping.id, version, day, strand, gameId, mode, note, groups }
}

export interface VersionRow {
  id: string
  version: number
  day: string
  gameId: string
  note: string
}

export function versionsOf({ db, classId }: ClassScope): Promise<VersionRow[]> {
  return db
    .select({
      id: grouping.id,
      version: grouping.version,
      day: grouping.day,
      gameId: grouping.gameId,
      note: grouping.note,
    })
    .from(grouping)
    .where(eq(grouping.classId, classId))
    .orderBy(desc(grouping.version))
}

/** Stores a new version; older ones stay as they are. */
export async function insertGrouping(
  scope: ClassScope,
  made: Omit<StoredGrouping, 'version'>,
): Promise<number> {
  const { db, classId } = scope
  const [{ last }] = await db
    .select({ last: max(grouping.version) })
    .from(grouping)
    .where(eq(grouping.classId, classId))
  const version = (last ?? 0) + 1
  const { groups, ...row } = made
  await db.insert(grouping).values({ ...row, classId, version })
  await db.insert(groupingGroup).values(
    groups.map(({ pennant, levelId, withAdult }, position) => ({
      classId,
      groupingId: made.id,
      position,
      pennant,
      levelId,
      withAdult,
    })),
  )
  const members = groups.flatMap(({ pupils, locked, pairs }, position) =>
    pupils.map((pupilId) => ({
      classId,
      groupingId: made.id,
      position,
      pupilId,
      locked: locked.includes(pupilId),
      pair: pairs[pupilId] ?? null,
    })),
  )
  if (members.length > 0) await db.insert(groupMember).values(members)
  return version
}

/** Who has played in one pair in any version so far, as children of the pair, once a version. */
export async function pairsBefore({ db, classId }: ClassScope): Promise<string[][]> {
  const rows = await db
    .select({ groupingId: groupMember.groupingId, pair: groupMember.pair, pupilId: groupMember.pupilId })
    .from(groupMember)
    .where(and(eq(groupMember.classId, classId), isNotNull(groupMember.pair)))
  const pairs = new Map<string, string[]>()
  for (const { groupingId, pair, pupilId } of rows) {
    const key = `${groupingId} ${pair}`
    pairs.set(key, [...(pairs.get(key) ?? []), pupilId])
  }
  return [...pairs.values()]
}
