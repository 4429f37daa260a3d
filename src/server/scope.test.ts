import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gameOf } from '@/core/games'
import { linksOf } from '@/data/queries/pupils'
import { addChildren, changeChild, classTable, listClasses, place, saveLinks, setLeft } from './classes'
import { checkPage } from './check'
import { gamePage, gamesPage, stopWaiting } from './games'
import { discardDraft, keepDraft } from './drafts/drafts'
import { backUpNow, lookIntoBackup, restoreBackup } from './keeping/backups'
import { exportChild, exportClass, exportClassList, importClass } from './keeping/documents'
import { eraseChild } from './keeping/erase'
import { settingsPage } from './keeping/settings'
import { changeHouseStyle } from './house-style'
import { earlierGroups, gameFit, groupsPage, proposeGroups, saveGroups } from './groups/groups'
import { joinGroup } from './groups/join'
import { harbourPage } from './harbour'
import { countOnShelf, letGo, moveToToday, planPage, previewPlan, savePlan } from './plan/plan'
import { countInBag, missInBag, previewPages, printPdf, printPage, putIntoBags } from './print/print'
import { childPage, progressPage } from './progress'
import { recordMark } from './marks/marks'
import { heldOnPaper, markAbsent, runPage, sheetsPage, tapClock } from './run'
import { showPage, questionsPage, stationPage, toolsPage, tryPage } from './show'
import { NotHere } from './use-case'
import { list, mark, newClass, openTestSchool, running, stranger, viewer } from './testing/school'

openTestSchool()

/** Every use case of the server, with what a stranger would try. A new one without a row here fails the test. */
async function attempts(): Promise<Record<string, () => Promise<unknown>>> {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  const { view } = await planPage(viewer, { classId })
  const { groupingId } = view!
  const id = () => crypto.randomUUID()
  const text = JSON.stringify(await exportClass(viewer, { classId }))
  const { name } = await backUpNow(viewer, {})
  const input = { game: 'landfall' }
  return {
    classTable: () => classTable(stranger, { classId }),
    changeChild: () => changeChild(stranger, { classId, pupilId, name: 'Ida', yearGroup: 'Year 1' }),
    setLeft: () => setLeft(stranger, { classId, pupilId, left: true }),
    addChildren: () => addChildren(stranger, { classId, list: list('Ida') }),
    place: () =>
      place(stranger, {
        classId,
        placements: [{ pupilId, strand: 'add', step: 'take-away-5', sureness: 'sure' }],
      }),
    saveLinks: () => saveLinks(stranger, { classId, links: [] }),
    changeHouseStyle: () => changeHouseStyle(stranger, { classId, style: {} }),
    keepDraft: () =>
      keepDraft(stranger, {
        classId,
        kind: 'plan',
        follows: null,
        revision: id(),
        before: { groupingId, plan: view!.plan },
        steps: ['undo'],
      }),
    discardDraft: () => discardDraft(stranger, { classId, kind: 'groups' }),
    groupsPage: () => groupsPage(stranger, { classId }),
    proposeGroups: () => proposeGroups(stranger, { classId, gameId: 'landfall', count: 2 }),
    earlierGroups: () => earlierGroups(stranger, { classId, groupingId: id() }),
    joinGroup: () => joinGroup(stranger, { classId, sessionId, pupilId, groupId: id() }),
    gameFit: () => gameFit(stranger, { classId, gameId: 'landfall' }),
    saveGroups: () =>
      saveGroups(stranger, {
        classId,
        groupingId: id(),
        gameId: 'landfall',
        groups: [{ pennant: 0, levelId: gameOf('landfall').levels[0].id, pupils: [pupilId] }],
      }),
    gamesPage: () => gamesPage(stranger, { classId }),
    gamePage: () => gamePage(stranger, { classId, gameId: 'landfall' }),
    showPage: () => showPage(stranger, { classId, gameId: 'landfall' }),
    printPage: () => printPage(stranger, { classId }),
    previewPages: () => previewPages(stranger, { classId, job: { counts: {} } }),
    printPdf: () => printPdf(stranger, { classId, job: { counts: {} } }),
    putIntoBags: () => putIntoBags(stranger, { classId, bags: { 'landfall/label': 1 } }),
    countInBag: () =>
      countInBag(stranger, { classId, item: 'landfall/label', count: 1, missing: 0, laminated: false }),
    checkPage: () => checkPage(stranger, { classId, pupilId }),
    sheetsPage: () => sheetsPage(stranger, { classId, sessionId }),
    heldOnPaper: () => heldOnPaper(stranger, { classId, sessionId }),
    missInBag: () => missInBag(stranger, { classId, item: 'landfall/label' }),
    questionsPage: () => questionsPage(stranger, { classId }),
    stationPage: () => stationPage(stranger, { classId, visitId: visit.id, pupilId }),
    tryPage: () => tryPage(stranger, { classId, gameId: 'landfall' }),
    toolsPage: () => toolsPage(stranger, { classId }),
    stopWaiting: () => stopWaiting(stranger, { classId, input }),
    planPage: () => planPage(stranger, { classId }),
    previewPlan: () => previewPlan(stranger, { classId, groupingId, plan: view!.plan }),
    countOnShelf: () => countOnShelf(stranger, { classId, item: 'die', count: 3 }),
    savePlan: () => savePlan(stranger, { classId, sessionId: id(), groupingId, plan: view!.plan }),
    moveToToday: () => moveToToday(stranger, { classId, sessionId }),
    letGo: () => letGo(stranger, { classId, sessionId }),
    runPage: () => runPage(stranger, { classId }),
    tapClock: () => tapClock(stranger, { classId, sessionId, tap: 'next', slot: 0 }),
    markAbsent: () => markAbsent(stranger, { classId, sessionId, pupilId, absent: true }),
    recordMark: () => recordMark(stranger, { classId, ...mark(visit.id, pupilId) }),
    progressPage: () => progressPage(stranger, { classId }),
    childPage: () => childPage(stranger, { classId, pupilId }),
    harbourPage: () => harbourPage(stranger, { classId }),
    settingsPage: () => settingsPage(stranger, { classId }),
    exportClass: () => exportClass(stranger, { classId }),
    exportClassList: () => exportClassList(stranger, { classId }),
    exportChild: () => exportChild(stranger, { classId, pupilId }),
    importClass: () => importClass(stranger, { text, mode: 'replace' }),
    eraseChild: () => eraseChild(stranger, { classId, pupilId }),
    backUpNow: () => backUpNow(stranger, {}),
    lookIntoBackup: () => lookIntoBackup(stranger, { name }),
    restoreBackup: () => restoreBackup(stranger, { name }),
  }
}

/** What anybody may do: see the classes that are one’s own, and make one. */
const open = ['listClasses', 'createClass']

const codeUnder = (folder: string) =>
  (readdirSync(folder, { recursive: true }) as string[])
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => ({ name: join(folder, name), code: readFileSync(join(folder, name), 'utf8') }))

test('a stranger learns nothing of a class and changes nothing in it, whatever is tried', async () => {
  process.env.ISLANDS_BACKUPS = mkdtempSync(join(tmpdir(), 'islands-backups-'))
  const all = await attempts()
  const { name: before } = await backUpNow(viewer, {})
  for (const [name, attempt] of Object.entries(all))
    await expect(attempt().then(() => `${name} let a stranger in`)).rejects.toThrow(NotHere)
  const { name: after } = await backUpNow(viewer, {})
  const rows = async (name: string) => (await lookIntoBackup(viewer, { name })).rows
  expect(await rows(after)).toBe(await rows(before))
  expect(await listClasses(stranger, undefined)).toEqual([])
})

test('every use case there is stands in the table of attempts', async () => {
  const pattern =
    /export const (\w+)(?:: UseCase<[\s\S]*?>)? =\s*(?:async )?(?:readingClass|changingClass|preparedChange|changingInParts|ofSchool|\(viewer)/g
  const found = codeUnder('src/server').flatMap(({ code }) =>
    [...code.matchAll(pattern)].map(([, name]) => name),
  )
  expect(found.length).toBeGreaterThan(25)
  expect([...found].sort()).toEqual([...Object.keys(await attempts()), ...open].sort())
})

test('routes, actions and pages reach data only through use cases, for the viewer', () => {
  for (const { name, code } of codeUnder('src/app')) {
    expect([name, /@\/data\//.test(code)]).toEqual([name, false])
    // Whatever the server offers is called with the viewer, or loaded by the one way from a page.
    const imported = [
      ...code.matchAll(/import \{([^}]*)\} from '@\/server\/(?!answer|viewer|use-case)[^']*'/g),
    ]
      .flatMap(([, names]) => names.split(','))
      .map((one) => one.trim())
      .filter((one) => one !== '' && !one.startsWith('type '))
    for (const useCase of imported) {
      const calls = [...code.matchAll(new RegExp(`\\b${useCase}\\(([^)]{0,20})`, 'g'))].map(
        ([, first]) => first,
      )
      expect([name, useCase, calls.filter((first) => !first.startsWith('currentViewer('))]).toEqual([
        name,
        useCase,
        [],
      ])
    }
  }
})

test('one class can’t reach into another through the ids of its children or visits', async () => {
  const [own, other] = [await newClass(), await newClass()]
  const { page } = await running(other)
  const visit = page.visits[0]
  const foreign = visit.children[0].id
  await expect(
    place(viewer, {
      classId: own,
      placements: [{ pupilId: foreign, strand: 'add', step: 'take-away-5', sureness: 'sure' }],
    }),
  ).rejects.toThrow(NotHere)
  await expect(recordMark(viewer, { classId: own, ...mark(visit.id, foreign) })).rejects.toThrow(NotHere)
  await expect(childPage(viewer, { classId: own, pupilId: foreign })).rejects.toThrow(NotHere)
})

test('a query or a use case without a viewer does not type-check', () => {
  // @ts-expect-error a query takes a scope, which only a viewer's membership gives
  expect(() => linksOf({ classId: 'x' })).toThrow()
  // @ts-expect-error a use case takes the viewer first
  void classTable({ classId: crypto.randomUUID() }).catch(() => undefined)
})
