import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { z } from 'zod'
import { DatabaseAway } from '../src/data/away'
import { tablesInOrder } from '../src/data/backup/dump'
import { closeServerDatabase, openServerDatabase } from '../src/data/server-database'
import {
  addChildren,
  changeChild,
  classTable,
  createClass,
  place,
  saveLinks,
  setLeft,
} from '../src/server/classes'
import { checkPage, checkTogetherPage } from '../src/server/check'
import { gamePage, stopWaiting } from '../src/server/games/game'
import { gamesPage } from '../src/server/games/list'
import {
  countInBag,
  missInBag,
  previewPages,
  printPdf,
  printPage,
  putIntoBags,
} from '../src/server/print/print'
import { questionsPage, showPage, stationPage, toolsPage, tryPage } from '../src/server/show'
import { earlierGroups, gameFit, groupsPage, proposeGroups, saveGroups } from '../src/server/groups/groups'
import { joinGroup } from '../src/server/groups/join'
import { discardDraft, keepDraft } from '../src/server/drafts/drafts'
import { harbourPage } from '../src/server/harbour'
import { changeHouseStyle } from '../src/server/house-style'
import { lookIntoBackup, restoreBackup } from '../src/server/keeping/backups'
import { exportChild, exportClass, exportClassList, importClass } from '../src/server/keeping/documents'
import { settingsPage } from '../src/server/keeping/settings'
import { closeThreads } from '../src/server/heavy/threads'
import { recordMark } from '../src/server/marks/marks'
import { countOnShelf, letGo, moveToToday, planPage, previewPlan, savePlan } from '../src/server/plan/plan'
import { childPage, progressPage } from '../src/server/progress'
import { adultsPage, invite, inviteToClass, letAdultGo } from '../src/server/access/adults'
import { accountPage, signOutEverywhere } from '../src/server/access/sign-in'
import { forgetLikings, forgetPace } from '../src/server/habits'
import { correctRecord } from '../src/server/marks/correct'
import { quickNotePage, takeNoteAway } from '../src/server/notes'
import { changeLevelNow, swapSeats } from '../src/server/room/at-station'
import { endLinks, makeLink } from '../src/server/room/links'
import { liveSession, roomPage } from '../src/server/room/pages'
import { takeWay, undoReplan, waysToGoOn } from '../src/server/room/replan'
import { tell } from '../src/server/room/tell'
import { heldOnPaper, runPage, sheetsPage, tapClock } from '../src/server/run'
import { NotHere, Refused, type UseCase } from '../src/server/use-case'
import { ownTeacher } from '../src/server/viewer'
import { freshFolder } from '../e2e/support/server'
import { pick, spoilt } from './spoilt'
import { say } from './support'

const viewer = ownTeacher()
/** Calls on one folder: what is taken makes it grow, and with it the time that a look at every byte takes. */
const aFolder = 600

/** Calls every use case with spoilt input: whatever is refused must change no byte of any table. */
export async function fuzz(calls: number, untilMs: number) {
  const sum = { calls: 0, useCases: 0, taken: 0, refused: 0, faults: 0, changedByRefusal: 0 }
  while (sum.calls < calls && Date.now() < untilMs) {
    const found = await onOneFolder(Math.min(aFolder, calls - sum.calls), untilMs)
    sum.calls += found.calls
    sum.useCases = found.useCases
    for (const key of ['taken', 'refused', 'faults', 'changedByRefusal'] as const) sum[key] += found[key]
    say(`${sum.calls} calls`)
  }
  return sum
}

async function onOneFolder(calls: number, untilMs: number) {
  const folder = freshFolder()
  process.env.ISLANDS_FOLDER = folder
  process.env.ISLANDS_BACKUPS = mkdtempSync(join(tmpdir(), 'islands-fuzz-'))
  const { database } = await openServerDatabase()
  const classId = crypto.randomUUID()
  const list = { text: 'Ama\nBruno\nChidi\nDalia\nEmre\nFreya', columns: ['name' as const], hasHeader: false }
  await createClass(viewer, { classId, name: 'Tern', yearGroup: 'Year 1', list })
  const made = await groupsPage(viewer, { classId })
  const { groups } = made.standing
  await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
  const { plan, groupingId } = (await planPage(viewer, { classId })).view!
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId, plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const [visit] = (await runPage(viewer, { classId }))!.visits
  const pupilId = visit.children[0].id
  const document = await exportClass(viewer, { classId })

  type Any = UseCase<never, unknown>
  const cases: [string, Any, () => unknown][] = [
    ['addChildren', addChildren as Any, () => ({ classId, list: { ...list, text: `New${Math.random()}` } })],
    ['createClass', createClass as Any, () => ({ classId: crypto.randomUUID(), name: 'X', yearGroup: 'Year 2', list })],
    ['place', place as Any, () => ({ classId, placements: [{ pupilId, strand: 'add', step: 'count-on-10', sureness: 'sure' }] })],
    ['saveLinks', saveLinks as Any, () => ({ classId, links: [], adultNear: [pupilId] })],
    ['classTable', classTable as Any, () => ({ classId, set: 'counting' })],
    ['changeHouseStyle', changeHouseStyle as Any, () => ({ classId, style: { movingUp: { by: 'count', own: 8, of: 10, days: 2 } } })],
    ['groupsPage', groupsPage as Any, () => ({ classId })],
    ['gameFit', gameFit as Any, () => ({ classId, gameId: 'perch' })],
    ['proposeGroups', proposeGroups as Any, () => ({ classId, gameId: 'landfall', count: 2, mode: 'mixed' })],
    ['saveGroups', saveGroups as Any, () => ({ classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups, note: 'x' })],
    ['keepDraft', keepDraft as Any, () => ({ classId, kind: 'groups', follows: null, revision: crypto.randomUUID(), before: made.standing, steps: [{ do: made.standing }, { amend: made.standing }, 'undo'] })],
    ['keepDraft', keepDraft as Any, () => ({ classId, kind: 'plan', follows: null, revision: crypto.randomUUID(), before: { groupingId, plan }, steps: [{ do: { groupingId, plan } }, 'undo', 'redo'] })],
    ['discardDraft', discardDraft as Any, () => ({ classId, kind: pick(['groups', 'plan']) })],
    ['earlierGroups', earlierGroups as Any, () => ({ classId, groupingId })],
    ['joinGroup', joinGroup as Any, () => ({ classId, sessionId, pupilId, groupId: plan.cells[0].groupId })],
    ['changeChild', changeChild as Any, () => ({ classId, pupilId, name: 'Ida', yearGroup: 'Year 1' })],
    ['setLeft', setLeft as Any, () => ({ classId, pupilId, left: pick([true, false]) })],
    ['moveToToday', moveToToday as Any, () => ({ classId, sessionId })],
    ['letGo', letGo as Any, () => ({ classId, sessionId: crypto.randomUUID() })],
    ['gamesPage', gamesPage as Any, () => ({ classId, group: 0, slotMinutes: 12, to: 20 })],
    ['gamePage', gamePage as Any, () => ({ classId, gameId: 'landfall', levelId: 'to-20-die', players: 2, params: { start: 0, goal: 12 } })],
    ['showPage', showPage as Any, () => ({ classId, gameId: 'landfall', levelId: 'to-20-die', players: 2 })],
    ['tryPage', tryPage as Any, () => ({ classId, gameId: 'perch', levelId: 'two-dice' })],
    ['printPage', printPage as Any, () => ({ classId, what: { kind: 'game', gameId: 'landfall', levelId: 'to-20-die', children: 4 } })],
    ['previewPages', previewPages as Any, () => ({ classId, what: { kind: 'session' }, job: { paper: 'A4', counts: { 'landfall/label': 1 } } })],
    ['printPdf', printPdf as Any, () => ({ classId, what: { kind: 'child', pupilId }, job: { backs: 'long edge', counts: {} } })],
    ['putIntoBags', putIntoBags as Any, () => ({ classId, bags: { 'landfall/label': 2 } })],
    ['countInBag', countInBag as Any, () => ({ classId, item: 'landfall/label', count: 2, missing: 1, laminated: true })],
    ['checkPage', checkPage as Any, () => ({ classId, pupilId, then: [pupilId] })],
    ['checkTogetherPage', checkTogetherPage as Any, () => ({ classId, pupilIds: visit.children.map(({ id }) => id).slice(0, 4) })],
    ['sheetsPage', sheetsPage as Any, () => ({ classId, sessionId })],
    ['heldOnPaper', heldOnPaper as Any, () => ({ classId, sessionId })],
    ['missInBag', missInBag as Any, () => ({ classId, item: 'landfall/label' })],
    ['questionsPage', questionsPage as Any, () => ({ classId })],
    ['stationPage', stationPage as Any, () => ({ classId, visitId: visit.id, pupilId })],
    ['toolsPage', toolsPage as Any, () => ({ classId })],
    ['stopWaiting', stopWaiting as Any, () => ({ classId, input: { game: 'landfall', players: 2 } })],
    ['planPage', planPage as Any, () => ({ classId, add: 'perch' })],
    ['previewPlan', previewPlan as Any, () => ({ classId, groupingId, plan })],
    ['savePlan', savePlan as Any, () => ({ classId, sessionId: crypto.randomUUID(), groupingId, plan })],
    ['countOnShelf', countOnShelf as Any, () => ({ classId, item: 'die', count: 4 })],
    ['runPage', runPage as Any, () => ({ classId })],
    ['tapClock', tapClock as Any, () => ({ classId, sessionId, tap: 'pause', slot: 0 })],
    ['tell', tell as Any, () => ({ classId, id: crypto.randomUUID(), madeAt: new Date().toISOString(), ...pick([{ kind: 'absent', sessionId, pupilId, absent: true, fromSlot: 1 }, { kind: 'note', pupilId, visitId: visit.id, words: 'Counts by twos.', tags: ['maths'] }, { kind: 'finished', visitId: visit.id, minutes: 4 }, { kind: 'liked', visitId: visit.id, liked: true }]) })],
    ['changeLevelNow', changeLevelNow as Any, () => ({ classId, visitId: visit.id, pupilId, to: pick(['easier', 'harder']) })],
    ['swapSeats', swapSeats as Any, () => ({ classId, visitId: visit.id, pupilId, withId: visit.children.at(-1)!.id })],
    ['makeLink', makeLink as Any, () => ({ classId, sessionId, kind: pick(['helper', 'room']), stationId: null, withNames: true })],
    ['endLinks', endLinks as Any, () => ({ classId, sessionId })],
    ['roomPage', roomPage as Any, () => ({ classId, sessionId, names: true })],
    ['liveSession', liveSession as Any, () => ({ classId, sessionId })],
    ['waysToGoOn', waysToGoOn as Any, () => ({ classId, sessionId, happened: pick([{ kind: 'late', minutes: 10 }, { kind: 'adult-missing' }]) })],
    ['takeWay', takeWay as Any, () => ({ classId, sessionId, happened: { kind: 'lost-slot' }, way: 'none' })],
    ['undoReplan', undoReplan as Any, () => ({ classId, sessionId })],
    ['quickNotePage', quickNotePage as Any, () => ({ classId })],
    ['correctRecord', correctRecord as Any, () => ({ classId, id: crypto.randomUUID(), pupilId, recordId: crypto.randomUUID(), to: pick(['own', 'nothing', 'as-it-was']) })],
    ['takeNoteAway', takeNoteAway as Any, () => ({ classId, noteId: crypto.randomUUID() })],
    ['forgetPace', forgetPace as Any, () => ({ classId })],
    ['forgetLikings', forgetLikings as Any, () => ({ classId })],
    ['accountPage', accountPage as Any, () => ({})],
    ['adultsPage', adultsPage as Any, () => ({})],
    ['invite', invite as Any, () => ({ role: 'coordinator' })],
    ['inviteToClass', inviteToClass as Any, () => ({ classId, role: 'helper' })],
    ['letAdultGo', letAdultGo as Any, () => ({ adultId: crypto.randomUUID() })],
    ['signOutEverywhere', signOutEverywhere as Any, () => ({})],
    ['recordMark', recordMark as Any, () => ({ classId, id: crypto.randomUUID(), observer: crypto.randomUUID(), visitId: visit.id, pupilId, judged: 'own', madeAt: new Date().toISOString() })],
    ['harbourPage', harbourPage as Any, () => ({ classId })],
    ['progressPage', progressPage as Any, () => ({ classId, strand: 'add' })],
    ['childPage', childPage as Any, () => ({ classId, pupilId })],
    ['settingsPage', settingsPage as Any, () => ({ classId })],
    ['exportClass', exportClass as Any, () => ({ classId })],
    ['exportClassList', exportClassList as Any, () => ({ classId })],
    ['exportChild', exportChild as Any, () => ({ classId, pupilId })],
    ['lookIntoBackup', lookIntoBackup as Any, () => ({ name: 'islands-2026-11-20T10-00-00-000Z-by-hand.json.gz' })],
    ['restoreBackup', restoreBackup as Any, () => ({ name: 'islands-2026-11-20T10-00-00-000Z-by-hand.json.gz' })],
    ['importClass', importClass as Any, () => ({ text: JSON.stringify(spoilt(document, 0.002)), mode: pick(['preview', 'merge']) })],
  ] // prettier-ignore

  // Every byte of every row of every table, in one number.
  const tables = (await tablesInOrder(database)).map((table) => {
    const name = sql.identifier(table)
    return sql`select md5(coalesce(string_agg(t::text, '|' order by t::text), '')) as sum from ${name} t`
  })
  const everything = async () => {
    const { rows } = await database.execute<{ sum: string }>(sql.join(tables, sql` union all `))
    return rows.map(({ sum }) => sum).join()
  }
  let before = await everything()
  const faults = new Set<string>()
  const told = (fault: string, given: unknown) => {
    if (!faults.has(fault)) say(`fault: ${fault} at ${JSON.stringify(given)?.slice(0, 300)}`)
    faults.add(fault)
  }
  let refused = 0
  let taken = 0
  let changedByRefusal = 0
  let call = 0
  for (; call < calls && Date.now() < untilMs; call++) {
    const [name, ask, input] = cases[call % cases.length]
    const given = name === 'importClass' ? input() : spoilt(input(), pick([0.02, 0.1, 0.3]))
    try {
      await ask(viewer, given as never)
      taken++
      before = await everything()
    } catch (error) {
      if (error instanceof z.ZodError || error instanceof Refused || error instanceof NotHere) refused++
      else if (!(error instanceof DatabaseAway)) told(`${name}: ${String(error)}`, given)
      const after = await everything()
      if (after !== before) changedByRefusal++
      before = after
    }
  }
  await closeThreads()
  await closeServerDatabase()
  return { calls: call, useCases: cases.length, taken, refused, faults: faults.size, changedByRefusal }
}
