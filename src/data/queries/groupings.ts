import { and, desc, eq, getTableColumns, inArray, isNotNull, max, sql } from 'drizzle-orm'
import type { GroupingMode } from '@/core/grouping/making/mode'
import type { StrandId } from '@/core/skills'
import { jsonList, jsonRow } from '../json-row'
import { grouping, groupingGroup, groupMember } from '../schema'
import type { ClassScope } from '../scope'

interface StoredGroup {
  id: string
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

/** One grouping with its groups in the order of their pennants: the newest, or the one asked for. */
export async function groupingOf({ db, classId }: ClassScope, id?: string): Promise<StoredGrouping | null> {
  const { id: ofGroup, pennant, levelId, withAdult } = groupingGroup
  const { groupId, pupilId, locked, pair } = groupMember
  const [row] = await db
    .select({
      ...getTableColumns(grouping),
      groups: jsonList(
        jsonRow({ id: ofGroup, pennant, levelId, withAdult }),
        sql`${groupingGroup} where ${groupingGroup.groupingId} = ${grouping.id}`,
        sql`${pennant}`,
      ),
      members: jsonList(
        jsonRow({ groupId, pupilId, locked, pair }),
        sql`${groupMember} where ${groupMember.groupingId} = ${grouping.id}`,
      ),
    })
    .from(grouping)
    .where(and(eq(grouping.classId, classId), id ? eq(grouping.id, id) : undefined))
    .orderBy(desc(grouping.version))
    .limit(1)
  if (!row) return null
  const { classId: _classId, groups, members, ...rest } = row
  return {
    ...rest,
    groups: groups.map((group) => {
      const own = members.filter((member) => member.groupId === group.id)
      return {
        ...group,
        pupils: own.map((member) => member.pupilId),
        locked: own.flatMap((member) => (member.locked ? [member.pupilId] : [])),
        pairs: Object.fromEntries(
          own.flatMap((member) => (member.pair === null ? [] : [[member.pupilId, member.pair]])),
        ),
      }
    }),
  }
}

/** Ids of the groups of some groupings of the class, by grouping. */
export async function groupsOfGroupings(
  { db, classId }: ClassScope,
  groupings: readonly string[],
): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
  const rows = await db
    .select({ id: groupingGroup.id, groupingId: groupingGroup.groupingId })
    .from(groupingGroup)
    .where(
      and(eq(groupingGroup.classId, classId), inArray(groupingGroup.groupingId, [...new Set(groupings)])),
    )
  const found = new Map<string, Set<string>>()
  for (const { id, groupingId } of rows) found.set(groupingId, (found.get(groupingId) ?? new Set()).add(id))
  return found
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
    groups.map(({ id, pennant, levelId, withAdult }) => ({
      id,
      classId,
      groupingId: made.id,
      pennant,
      levelId,
      withAdult,
    })),
  )
  const members = groups.flatMap(({ id, pupils, locked, pairs }) =>
    pupils.map((pupilId) => ({
      classId,
      groupingId: made.id,
      groupId: id,
      pupilId,
      locked: locked.includes(pupilId),
      pair: pairs[pupilId] ?? null,
    })),
  )
  if (members.length > 0) await db.insert(groupMember).values(members)
  return version
}

/** One child more in a group of a version. */
export async function addMember(
  { db, classId }: ClassScope,
  groupingId: string,
  groupId: string,
  pupilId: string,
) {
  await db.insert(groupMember).values({ classId, groupingId, groupId, pupilId, locked: false, pair: null })
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
