/** Who can ask for something: an adult by what it is in a class or in the school, or a device by the link that let it in. */
export type Party =
  | 'teacher'
  | 'helper'
  | 'coordinator'
  | 'admin'
  | 'helper-link'
  | 'late-helper-link'
  | 'room-link'
  | 'station-link'

const teaching: readonly Party[] = ['teacher']
/** A coordinator reads across the classes of the school, and changes nothing. */
const reading: readonly Party[] = ['teacher', 'coordinator']
const ofSchool: readonly Party[] = ['admin']
const anyAdult: readonly Party[] = ['teacher', 'helper', 'coordinator', 'admin']
/** Whoever stands at a station and records. */
const atStation: readonly Party[] = ['teacher', 'helper', 'helper-link']
/** The same; what a helper's device still holds when the session ends is taken for a while. */
const atStationStill: readonly Party[] = [...atStation, 'late-helper-link']

/**
 * Who may what: each use case of the server by name, with those it lets in. A class is always one's own, and a link is
 * held to its session and station by the use case. Who has no row here gets “nothing here for you”.
 */
export const whoMay = {
  // The class and its children
  classTable: reading,
  childPage: reading,
  progressPage: reading,
  harbourPage: reading,
  changeChild: teaching,
  setLeft: teaching,
  addChildren: teaching,
  place: teaching,
  saveLinks: teaching,
  changeHouseStyle: teaching,
  checkPage: teaching,
  checkTogetherPage: teaching,
  quickNotePage: teaching,
  takeNoteAway: teaching,
  correctRecord: teaching,

  // Groups and games
  groupsPage: reading,
  earlierGroups: reading,
  gameFit: reading,
  proposeGroups: teaching,
  saveGroups: teaching,
  joinGroup: teaching,
  gamesPage: reading,
  gamePage: reading,
  showPage: [...reading, 'helper'],
  tryPage: [...reading, 'helper'],
  questionsPage: reading,
  toolsPage: [...reading, 'helper'],
  stopWaiting: reading,

  // The plan and what is printed for it
  planPage: reading,
  previewPlan: teaching,
  savePlan: teaching,
  moveToToday: teaching,
  letGo: teaching,
  countOnShelf: teaching,
  keepDraft: teaching,
  discardDraft: teaching,
  printPage: reading,
  previewPages: reading,
  printPdf: reading,
  putIntoBags: teaching,
  countInBag: teaching,

  // The session
  runPage: ['teacher', 'helper'],
  tapClock: teaching,
  tell: atStationStill,
  recordMark: [...atStationStill, 'station-link'],
  waysToGoOn: teaching,
  takeWay: teaching,
  undoReplan: teaching,
  changeLevelNow: atStation,
  swapSeats: atStation,
  missInBag: ['teacher', 'helper'],
  stationPage: ['teacher', 'helper', 'station-link'],
  sheetsPage: teaching,
  heldOnPaper: teaching,
  liveSession: [...atStation, 'room-link', 'station-link'],
  roomPage: ['teacher', 'helper', 'room-link'],
  helperPage: ['helper-link'],
  screenPage: ['station-link'],
  makeLink: teaching,
  endLinks: teaching,

  // What is kept
  forgetPace: teaching,
  forgetLikings: teaching,
  settingsPage: reading,
  exportClass: teaching,
  exportClassList: reading,
  exportChild: teaching,
  eraseChild: teaching,
  mayImport: ofSchool,
  importClass: ofSchool,
  backUpNow: ofSchool,
  lookIntoBackup: ofSchool,
  restoreBackup: ofSchool,

  // Adults
  listClasses: anyAdult,
  createClass: ['teacher', 'admin'],
  accountPage: anyAdult,
  saveAccount: anyAdult,
  signOutEverywhere: anyAdult,
  adultsPage: ofSchool,
  invite: ofSchool,
  inviteToClass: teaching,
  letAdultGo: ofSchool,
} satisfies Record<string, readonly Party[]>

export type UseCaseName = keyof typeof whoMay

export const may = (party: Party, name: UseCaseName): boolean =>
  (whoMay[name] as readonly Party[]).includes(party)
