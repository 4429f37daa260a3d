import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { z } from 'zod'
import { gameOf } from '@/core/games'
import { linksOf } from '@/data/queries/pupils'
import {
  addChildren,
  changeChild,
  classTable,
  createClass,
  listClasses,
  place,
  saveLinks,
  setLeft,
} from '../classes'
import { checkPage, checkTogetherPage } from '../check'
import { gamePage, stopWaiting } from '../games/game'
import { gamesPage } from '../games/list'
import { discardDraft, keepDraft } from '../drafts/drafts'
import { backUpNow, lookIntoBackup, restoreBackup } from '../keeping/backups'
import { exportChild, exportClass, exportClassList, importClass, mayImport } from '../keeping/documents'
import { eraseChild } from '../keeping/erase'
import { settingsPage } from '../keeping/settings'
import { forgetLikings, forgetPace } from '../habits'
import { changeHouseStyle } from '../house-style'
import { earlierGroups, gameFit, groupsPage, proposeGroups, saveGroups } from '../groups/groups'
import { joinGroup } from '../groups/join'
import { harbourPage } from '../harbour'
import { countOnShelf, letGo, moveToToday, planPage, previewPlan, savePlan } from '../plan/plan'
import { countInBag, missInBag, previewPages, printPdf, printPage, putIntoBags } from '../print/print'
import { childPage, progressPage } from '../progress'
import { correctRecord } from '../marks/correct'
import { quickNotePage, takeNoteAway } from '../notes'
import { recordMark } from '../marks/marks'
import { changeLevelNow, swapSeats } from '../room/at-station'
import { endLinks, makeLink } from '../room/links'
import { helperPage, liveSession, roomPage, screenPage } from '../room/pages'
import { takeWay, undoReplan, waysToGoOn } from '../room/replan'
import { tell } from '../room/tell'
import { heldOnPaper, runPage, sheetsPage, tapClock } from '../run'
import { showPage, questionsPage, stationPage, toolsPage, tryPage } from '../show'
import { NotHere } from '../use-case'
import type { Viewer } from '../viewer'
import { adultWho, deviceWith, oneOfEach, outdate } from '../testing/parties'
import { list, mark, newClass, openTestSchool, running, viewer } from '../testing/school'
import { adultsPage, invite, inviteToClass, letAdultGo } from './adults'
import { accountPage, saveAccount, signOutEverywhere } from './sign-in'
import { whoMay, type UseCaseName } from './who-may'

openTestSchool()
beforeAll(() => {
  process.env.ISLANDS_BACKUPS = mkdtempSync(join(tmpdir(), 'islands-backups-'))
})

type Attempt = (who: Viewer) => Promise<unknown>

/** A class with a session under way, and in it an attempt at every use case: one without a row does not type-check. */
async function attempts() {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [visit] = page.visits
  const [{ id: pupilId }] = visit.children
  const { view } = await planPage(viewer, { classId })
  const { groupingId } = view!
  const id = () => crypto.randomUUID()
  // Of a class that is not there: one that is belongs to its teachers.
  const text = JSON.stringify(await exportClass(viewer, { classId })).replaceAll(classId, id())
  const leaving = (await adultWho({})).adultId
  const { name } = await backUpNow(viewer, {})
  const told = { kind: 'absent', id: id(), madeAt: '2026-11-24T10:20:00Z', sessionId, pupilId } as const
  const input = { game: 'landfall' }
  // Outside a session: one under way is put right at its station.
  const seen = mark(visit.id, pupilId, { visitId: null, at: { strand: 'add', step: 'take-away-5' } })
  await recordMark(viewer, { classId, ...seen })
  const all: Record<UseCaseName, Attempt> = {
    classTable: (who) => classTable(who, { classId }),
    changeChild: (who) => changeChild(who, { classId, pupilId, name: 'Ida', yearGroup: 'Year 1' }),
    setLeft: (who) => setLeft(who, { classId, pupilId, left: false }),
    addChildren: (who) => addChildren(who, { classId, list: list(`Ida${Math.random()}`) }),
    place: (who) =>
      place(who, {
        classId,
        placements: [{ pupilId, strand: 'add', step: 'take-away-5', sureness: 'sure' }],
      }),
    saveLinks: (who) => saveLinks(who, { classId, links: [] }),
    changeHouseStyle: (who) => changeHouseStyle(who, { classId, style: { digital: true } }),
    keepDraft: (who) =>
      keepDraft(who, {
        classId,
        kind: 'plan',
        follows: null,
        revision: id(),
        before: { groupingId, plan: view!.plan },
        steps: ['undo'],
      }),
    discardDraft: (who) => discardDraft(who, { classId, kind: 'groups' }),
    groupsPage: (who) => groupsPage(who, { classId }),
    proposeGroups: (who) => proposeGroups(who, { classId, gameId: 'landfall', count: 2 }),
    earlierGroups: (who) => earlierGroups(who, { classId, groupingId }),
    joinGroup: (who) => joinGroup(who, { classId, sessionId, pupilId, groupId: visit.groupId }),
    gameFit: (who) => gameFit(who, { classId, gameId: 'landfall' }),
    saveGroups: (who) =>
      saveGroups(who, {
        classId,
        groupingId: id(),
        gameId: 'landfall',
        groups: [{ pennant: 0, levelId: gameOf('landfall').levels[0].id, pupils: [pupilId] }],
      }),
    gamesPage: (who) => gamesPage(who, { classId }),
    gamePage: (who) => gamePage(who, { classId, gameId: 'landfall' }),
    showPage: (who) => showPage(who, { classId, gameId: 'landfall' }),
    printPage: (who) => printPage(who, { classId }),
    previewPages: (who) => previewPages(who, { classId, job: { counts: {} } }),
    printPdf: (who) => printPdf(who, { classId, job: { counts: { 'landfall/label': 1 } } }),
    putIntoBags: (who) => putIntoBags(who, { classId, bags: { 'landfall/label': 1 } }),
    countInBag: (who) =>
      countInBag(who, { classId, item: 'landfall/label', count: 1, missing: 0, laminated: false }),
    checkPage: (who) => checkPage(who, { classId, pupilId }),
    checkTogetherPage: (who) =>
      checkTogetherPage(who, { classId, pupilIds: [pupilId, visit.children[1].id] }),
    quickNotePage: (who) => quickNotePage(who, { classId }),
    takeNoteAway: (who) => takeNoteAway(who, { classId, noteId: id() }),
    correctRecord: (who) => correctRecord(who, { classId, id: id(), pupilId, recordId: seen.id, to: 'own' }),
    sheetsPage: (who) => sheetsPage(who, { classId, sessionId }),
    heldOnPaper: (who) => heldOnPaper(who, { classId, sessionId }),
    missInBag: (who) => missInBag(who, { classId, item: 'landfall/label' }),
    questionsPage: (who) => questionsPage(who, { classId }),
    stationPage: (who) => stationPage(who, { classId, visitId: visit.id, pupilId }),
    tryPage: (who) => tryPage(who, { classId, gameId: 'landfall' }),
    toolsPage: (who) => toolsPage(who, { classId }),
    stopWaiting: (who) => stopWaiting(who, { classId, input }),
    planPage: (who) => planPage(who, { classId }),
    previewPlan: (who) => previewPlan(who, { classId, groupingId, plan: view!.plan }),
    countOnShelf: (who) => countOnShelf(who, { classId, item: 'die', count: 3 }),
    savePlan: (who) => savePlan(who, { classId, sessionId: id(), groupingId, plan: view!.plan }),
    moveToToday: (who) => moveToToday(who, { classId, sessionId }),
    letGo: (who) => letGo(who, { classId, sessionId }),
    runPage: (who) => runPage(who, { classId }),
    tapClock: (who) => tapClock(who, { classId, sessionId, tap: 'pause', slot: 0 }),
    tell: (who) => tell(who, { classId, ...told, absent: false }),
    recordMark: (who) => {
      const digital = { strand: 'add', step: 'count-on-20', guess: 0, slips: [] } as const
      const seen = { observer: id(), judged: null, right: 7, of: 9, digital }
      return recordMark(who, { classId, ...mark(visit.id, pupilId, seen) })
    },
    liveSession: (who) => liveSession(who, { classId, sessionId }),
    roomPage: (who) => roomPage(who, { classId }),
    helperPage: (who) => helperPage(who, { classId }),
    screenPage: (who) => screenPage(who, { classId }),
    changeLevelNow: (who) => changeLevelNow(who, { classId, visitId: visit.id, pupilId, to: 'harder' }),
    swapSeats: (who) =>
      swapSeats(who, { classId, visitId: visit.id, pupilId, withId: visit.children.at(-1)!.id }),
    forgetPace: (who) => forgetPace(who, { classId }),
    forgetLikings: (who) => forgetLikings(who, { classId }),
    waysToGoOn: (who) => waysToGoOn(who, { classId, sessionId, happened: { kind: 'lost-slot' } }),
    takeWay: (who) => takeWay(who, { classId, sessionId, happened: { kind: 'lost-slot' }, way: 'none' }),
    undoReplan: (who) => undoReplan(who, { classId, sessionId }),
    makeLink: (who) => makeLink(who, { classId, sessionId, kind: 'room' }),
    endLinks: (who) => endLinks(who, { classId, sessionId: id() }),
    progressPage: (who) => progressPage(who, { classId }),
    childPage: (who) => childPage(who, { classId, pupilId }),
    harbourPage: (who) => harbourPage(who, { classId }),
    settingsPage: (who) => settingsPage(who, { classId }),
    exportClass: (who) => exportClass(who, { classId }),
    exportClassList: (who) => exportClassList(who, { classId }),
    exportChild: (who) => exportChild(who, { classId, pupilId }),
    mayImport: (who) => mayImport(who, {}),
    importClass: (who) => importClass(who, { text, mode: 'preview' }),
    backUpNow: (who) => backUpNow(who, {}),
    lookIntoBackup: (who) => lookIntoBackup(who, { name }),
    listClasses: async (who) => {
      const cards = await listClasses(who, undefined)
      if (!cards.some((card) => card.id === classId)) throw new NotHere()
    },
    createClass: (who) =>
      createClass(who, { classId: id(), name: 'Knot', yearGroup: 'Year 1', list: list('Ida') }),
    accountPage: (who) => accountPage(who, {}),
    saveAccount: (who) =>
      saveAccount(who, {
        name: 'Adult',
        signInName: `a${id()}`.slice(0, 30),
        password: 'three small boats',
        present: '',
      }),
    signOutEverywhere: (who) => signOutEverywhere(who, {}),
    adultsPage: (who) => adultsPage(who, {}),
    invite: (who) => invite(who, { role: 'coordinator' }),
    inviteToClass: (who) => inviteToClass(who, { classId, role: 'helper' }),
    letAdultGo: (who) => letAdultGo(who, { adultId: leaving }),
    // These two last: what they take away the others need.
    eraseChild: (who) => eraseChild(who, { classId, pupilId }),
    restoreBackup: (who) => restoreBackup(who, { name }),
  }
  return { classId, sessionId, visit, pupilId, page, all }
}

/** True if the viewer was let in, whatever came of it; false if it was told that there is nothing here. */
const isLetIn = (attempt: Promise<unknown>): Promise<boolean> =>
  attempt.then(
    () => true,
    (error: unknown) => {
      // Refused before anybody was asked who it is: the attempt is none.
      if (error instanceof z.ZodError) throw error
      return !(error instanceof NotHere)
    },
  )

/** A helper's device whose session has ended: its class, with what it still holds of it. */
async function lateHelper() {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const device = await deviceWith(classId, sessionId, { kind: 'helper' })
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  return { classId, sessionId, visit: page.visits[0], device }
}

/** What is about no class in particular: an admin without one is let in to it, too. */
const adultsOwn: UseCaseName[] = ['createClass', 'accountPage', 'saveAccount', 'signOutEverywhere']
const last: UseCaseName[] = ['eraseChild', 'restoreBackup']

test('the table of who may what is what happens: each use case as each party, as a stranger, as nobody', async () => {
  const { all, classId, sessionId, visit } = await attempts()
  const { device: late } = await lateHelper()
  const each = await oneOfEach({ classId, sessionId, stationId: visit.stationId, late })
  const names = (Object.keys(whoMay) as UseCaseName[]).filter((name) => !last.includes(name))
  const wrong: string[] = []
  for (const name of [...names, ...last])
    for (const [party, who] of Object.entries(each)) {
      // Held to its own session: this one is none of its business. It is tried below.
      if (party === 'late-helper-link') continue
      const expected =
        (whoMay[name] as readonly string[]).includes(party) &&
        // An adult of the school without a class reads nothing of this one.
        !(party === 'admin' && name === 'listClasses')
      // Only the teacher is let do what takes away what the others are tried with.
      const letIn = await isLetIn(all[name](who))
      if (letIn !== expected) wrong.push(`${name} as ${party}: ${letIn ? 'let in' : 'turned away'}`)
    }
  expect(wrong).toEqual([])
}, 240_000)

test('a stranger changes nothing: what is kept is the same to the byte after every attempt', async () => {
  const { all } = await attempts()
  const outsiders = [await adultWho({ elsewhere: true }), await adultWho({ teaches: await newClass() })]
  const counted = async () =>
    (await lookIntoBackup(viewer, { name: (await backUpNow(viewer, {})).name })).rows
  const before = await counted()
  for (const who of outsiders)
    for (const [name, attempt] of Object.entries(all)) {
      // About oneself, and about nobody else.
      if (adultsOwn.includes(name as UseCaseName)) continue
      expect([name, await isLetIn(attempt(who))]).toEqual([name, false])
    }
  expect(await counted()).toBe(before)
}, 120_000)

test('a link reaches its own station and session, until its end; then a helper’s device hands in what it holds', async () => {
  const { all, classId, sessionId, page, visit } = await attempts()
  const other = page.visits.find(({ stationId }) => stationId !== visit.stationId)!
  const away = await deviceWith(classId, sessionId, { kind: 'helper', stationId: other.stationId })
  for (const name of ['recordMark', 'changeLevelNow', 'swapSeats'] as const)
    expect([name, await isLetIn(all[name](away))]).toEqual([name, false])
  const seen = await helperPage(away, { classId })
  expect(seen.board.stations.map(({ id }) => id)).toEqual([other.stationId])
  expect(seen.board.visits.every(({ stationId }) => stationId === other.stationId)).toBe(true)

  const { device, ...late } = await lateHelper()
  expect(await isLetIn(helperPage(device, { classId: late.classId }))).toBe(false)
  const [child] = late.visit.children
  await recordMark(device, {
    classId: late.classId,
    ...mark(late.visit.id, child.id, { observer: crypto.randomUUID() }),
  })
  // Another session, even of the same class, is none of its business.
  expect(await isLetIn(all.recordMark(device))).toBe(false)
  await outdate(device)
  expect(await isLetIn(recordMark(device, { classId: late.classId, ...mark(late.visit.id, child.id) }))).toBe(
    false,
  )

  const helper = await deviceWith(classId, sessionId, { kind: 'helper' })
  expect(await isLetIn(helperPage(helper, { classId }))).toBe(true)
  await endLinks(viewer, { classId, sessionId })
  expect(await isLetIn(helperPage(helper, { classId }))).toBe(false)
})

test('who came in by a link never speaks for the device of an adult', async () => {
  const { classId, sessionId, visit, pupilId } = await attempts()
  const teachers = mark(visit.id, pupilId)
  await recordMark(viewer, { classId, ...teachers })
  const helper = await deviceWith(classId, sessionId, { kind: 'helper' })
  const taken = mark(visit.id, pupilId, { judged: null, corrects: teachers.id })
  expect(await isLetIn(recordMark(helper, { classId, ...taken }))).toBe(false)
  const shown = (await helperPage(helper, { classId })).board.marks
  expect(shown).toMatchObject([{ id: teachers.id, judged: 'own', observer: '' }])
})

test('a room’s link tells no name unless it was made with names; nothing is told of levels or marks', async () => {
  const { classId, sessionId, page } = await attempts()
  const names = page.visits.flatMap(({ children }) => children.map(({ name }) => name))
  const levels = page.visits.map(({ level }) => level)
  const bare = JSON.stringify(
    await roomPage(await deviceWith(classId, sessionId, { kind: 'room' }), { classId, names: true }),
  )
  for (const word of [...names, ...levels]) expect(bare).not.toContain(`"${word}"`)
  const named = await deviceWith(classId, sessionId, { kind: 'room', withNames: true })
  expect(JSON.stringify(await roomPage(named, { classId }))).toContain(names[0])
})

const codeUnder = (folder: string) =>
  (readdirSync(folder, { recursive: true }) as string[])
    .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
    .map((name) => ({ name: join(folder, name), code: readFileSync(join(folder, name), 'utf8') }))

/** Before anybody is known: signing in, being asked in, coming in by a code. They say nothing of a class. */
const atTheDoor = ['signIn', 'signOut', 'viewerOfDevice', 'accountsThere', 'invitedTo', 'acceptInvitation']
const byCode = ['comeIn', 'linkedDevice']

test('every use case there is stands in the table under its own name', () => {
  const made =
    /export const (\w+)[^=]*=\s*(?:readingClass|changingClass\w*|preparedChange|changingInParts|asAdult)\(\s*'(\w+)'/g
  const found = codeUnder('src/server').flatMap(({ code }) =>
    [...code.matchAll(made)].map(([, name, row]) => [name, row]),
  )
  for (const [name, row] of found) expect(row).toBe(name)
  // What is made otherwise reaches the database on its own: it is one of these, or it has no business to.
  const otherwise = codeUnder('src/server').flatMap(({ code }) =>
    [...code.matchAll(/export const (\w+)[^=]*=[^\n]*=>\s*\n?\s*discreetly\(/g)].map(([, name]) => name),
  )
  expect(otherwise.sort()).toEqual([...atTheDoor, ...byCode, 'listClasses'].sort())
  const named = [...found.map(([name]) => name), 'listClasses', 'eraseChild']
  expect([...new Set(named)].sort()).toEqual(Object.keys(whoMay).sort())
})

test('routes, actions and pages reach data only through use cases, for whoever asks', () => {
  for (const { name, code } of codeUnder('src/app')) {
    expect([name, /@\/data\//.test(code)]).toEqual([name, false])
    // Pictures are of rules alone, the same for everybody. Whatever else the server offers is called for whoever asks: an adult, the device of a link, or loaded by the one way.
    const imported = [
      ...code.matchAll(
        /import \{([^}]*)\} from '@\/server\/(?!answer|viewer|use-case|access\/who-asks|http|live|pictures)[^']*'/g,
      ),
    ]
      .flatMap(([, names]) => names.split(','))
      .map((one) => one.trim())
      .filter((one) => one !== '' && !one.startsWith('type ') && ![...atTheDoor, ...byCode].includes(one))
    for (const useCase of imported) {
      const calls = [...code.matchAll(new RegExp(`(?<!load)\\(?\\b${useCase}\\(([^)]{0,30})`, 'g'))].map(
        ([, first]) => first,
      )
      const forWhom = /^(await (currentViewer|signedIn|viewer)\(|viewer\b|device\.viewer|asked\.viewer)/
      expect([name, useCase, calls.filter((first) => !forWhom.test(first))]).toEqual([name, useCase, []])
    }
  }
})

test('a viewer is made only where somebody was recognised', () => {
  const makers = codeUnder('src')
    .filter(({ code }) => /\b(viewerOf|ownTeacher)\(/.test(code))
    .map(({ name }) => name)
  expect(makers.filter((name) => !/testing|demo/.test(name)).sort()).toEqual([
    'src/server/access/sign-in.ts',
    'src/server/access/who-asks.ts',
    'src/server/room/links.ts',
    'src/server/viewer.ts',
  ])
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
  const note = { kind: 'note', id: crypto.randomUUID(), pupilId: foreign, words: 'Hm.' } as const
  await expect(tell(viewer, { classId: own, ...note, madeAt: '2026-11-24T10:20:00Z' })).rejects.toThrow(
    NotHere,
  )
  const finished = { kind: 'finished', id: crypto.randomUUID(), visitId: visit.id, minutes: 4 } as const
  await expect(tell(viewer, { classId: own, ...finished, madeAt: '2026-11-24T10:20:00Z' })).rejects.toThrow(
    NotHere,
  )
})

test('a query or a use case without a viewer does not type-check', () => {
  // @ts-expect-error a query takes a scope, which only a viewer's membership gives
  expect(() => linksOf({ classId: 'x' })).toThrow()
  // @ts-expect-error a use case takes the viewer first
  void classTable({ classId: crypto.randomUUID() }).catch(() => undefined)
})
