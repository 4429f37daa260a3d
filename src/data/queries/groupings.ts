import { and, asc, desc, eq, max } from 'drizzle-orm'
import type { StrandId } from '@/core/skills'
import { grouping, groupingGroup, groupMember } from '../schema'
import type { ClassScope } from '../scope'

interface StoredGroup {
  pennant: number
  levelId: string
  pupils: string[]
}

export interface StoredGrouping {
  id: string
  version: number
  day: string
  strand: StrandId
  gameId: string
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
    groups[group.position] ??= { pennant: group.pennant, levelId: group.levelId, pupils: [] }
    if (member) groups[group.position].pupils.push(member.pupilId)
  }
  const { version, day, strand, gameId, note } = rows[0].grouping
  return { id: rows[0].grouping.id, version, day, strand, gameId, note, groups }
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
    groups.map(({ pennant, levelId }, position) => ({
      classId,
      groupingId: made.id,
      position,
      pennant,
      levelId,
    })),
  )
  const members = groups.flatMap(({ pupils }, position) =>
    pupils.map((pupilId) => ({ classId, groupingId: made.id, position, pupilId })),
  )
  if (members.length > 0) await db.insert(groupMember).values(members)
  return version
}
