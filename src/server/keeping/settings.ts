import { readdirSync, statSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { gameOf } from '@/core/games'
import type { Habits } from '@/core/planning/session/habits'
import { backupsIn, mostBackups, type BackupFile } from '@/data/backup/files'
import { dataFolder } from '@/data/connection'
import { partiesOf } from '@/data/queries/adults'
import { owedErasures } from '@/data/queries/erase'
import { sizes } from '@/data/queries/classes'
import { pupilsOf } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { classIdSchema, displayName } from '../classes'
import { now, todayIn } from '../clock'
import { habitsOf } from '../habits'
import { readingClass } from '../use-case'
import { ownBackupFolder } from './erasures'

/** What is kept of the whole school. */
export interface Keeping {
  backups: BackupFile[]
  /** Daily backups that are kept. */
  mostBackups: number
  /** Where backups go, for whoever wants a copy elsewhere. */
  folder: string
  /** What is kept in all, and how large it is; null: on a database server. */
  kept: { classes: number; children: number; marks: number; bytes: number | null }
}

export interface SettingsPage {
  /** Null: somebody else looks after the school's backups and accounts. */
  keeping: Keeping | null
  /** The class's teacher; else whoever looks at it changes nothing. */
  teaches: boolean
  classroom: { name: string; timeZone: string }
  children: { id: string; name: string }[]
  /** Children whose erase is not finished in every file; their names are gone. */
  erasing: { pupilId: string }[]
  /** What the class has shown at its stations. */
  habits: { pace: Habits['pace']; liked: { title: string; liked: number; of: number }[] }
  today: string
  now: string
}

/** What is kept, how large it is, when it was last backed up. */
export const settingsPage = readingClass(
  'settingsPage',
  classIdSchema,
  async (scope): Promise<SettingsPage> => {
    const [pupils, owed, parties, { pace, liked }] = await Promise.all([
      pupilsOf(scope),
      owedErasures(scope.db, scope.classId),
      partiesOf(scope.db, scope.adultId),
      habitsOf(scope),
    ])
    return {
      keeping: parties.includes('admin') ? await keepingOf(scope) : null,
      teaches: scope.party === 'teacher',
      classroom: { name: scope.classroom.name, timeZone: scope.classroom.timeZone },
      erasing: owed.map(({ pupilId }) => ({ pupilId })),
      children: pupils.map((pupil) => ({ id: pupil.id, name: displayName(pupil) })),
      habits: {
        pace,
        liked: Object.entries(liked).map(([gameId, notes]) => ({ title: gameOf(gameId).title, ...notes })),
      },
      today: todayIn(scope.classroom.timeZone),
      now: now().toISOString(),
    }
  },
)

async function keepingOf({ db }: ClassScope): Promise<Keeping> {
  return {
    backups: backupsIn(ownBackupFolder()),
    mostBackups: mostBackups.daily,
    folder: resolve(ownBackupFolder()),
    kept: { ...(await sizes(db)), bytes: process.env.DATABASE_URL ? null : bytesIn(dataFolder()) },
  }
}

function bytesIn(folder: string): number {
  let sum = 0
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    // A file may go while the folder is counted.
    sum += entry.isDirectory() ? bytesIn(path) : (statSync(path, { throwIfNoEntry: false })?.size ?? 0)
  }
  return sum
}
