import { seededChance, unit } from '@/core/chance/chance'
import type { Belief } from '@/core/evidence/estimate'
import { secureLogit } from '@/core/evidence/estimate'
import { checkAfter, type CheckAnswer } from '@/core/evidence/check-run'
import { difficultiesOf } from '@/core/evidence/history'
import { logitsApart, wholeStep } from '@/core/evidence/quick-check'
import { interview, judgedBy } from '@/core/evidence/testing/simulated-check'
import { stepIndex, strandIds, type StrandId } from '@/core/skills'
import { checkPage, checkTogetherPage } from './check'
import { createClass } from './classes'
import { changeHouseStyle } from './house-style'
import { recordMark } from './marks/marks'
import { childPage } from './progress'
import { list, newClass, onServer, openTestSchool, viewer } from './testing/school'
import { classTable } from './classes'

openTestSchool()

const device = crypto.randomUUID()
const madeAt = '2026-11-24T08:50:00Z'
const send = (classId: string, pupilId: string, { place, value }: CheckAnswer, change: object = {}) =>
  recordMark(viewer, {
    classId,
    id: crypto.randomUUID(),
    observer: device,
    visitId: null,
    at: place,
    pupilId,
    madeAt,
    ...value,
    ...change,
  })

const beliefsOf = async (classId: string, pupilId: string, strands: readonly StrandId[]) => {
  const page = await checkPage(viewer, { classId, pupilId })
  return new Map<StrandId, Belief>(
    strands.map((strand) => {
      const { from, mass } = page.strands.find((one) => one.strand === strand)!
      return [strand, { ability: { from, mass: Float64Array.from(mass) }, day: 0 }]
    }),
  )
}

// Nothing in it hangs on the database: once is enough.
const onOneDatabase = onServer ? test.skip : test
onOneDatabase(
  'forty simulated children on two strands: within one step, with fewer questions than an interview upwards',
  async () => {
    const classId = crypto.randomUUID()
    const names = Array.from(
      { length: 40 },
      (_, i) => `Child${'abcdefghijklmnopqrstuvwxyz'[i % 26]}${i < 26 ? '' : 'b'}`,
    )
    await createClass(viewer, { classId, name: 'Forty', yearGroup: 'Year 1', list: list(names.join('\n')) })
    const { rows } = await classTable(viewer, { classId })
    expect(rows).toHaveLength(40)
    const strands = ['add', 'count'] as const
    const chance = seededChance(11)
    let [within, asked, upwards, checks] = [0, 0, 0, 0]
    for (const { id: pupilId } of rows) {
      const hidden = new Map(
        strands.map((strand) => {
          const ladder = difficultiesOf(strand)
          // Anywhere on the lower three quarters of the ladder, whatever the year group.
          return [strand, ladder[0] + unit(chance) * (ladder[ladder.length - 1] * 0.75 - ladder[0])] as const
        }),
      )
      const beliefs = await beliefsOf(classId, pupilId, strands)
      const answers: CheckAnswer[] = []
      for (;;) {
        const { next } = checkAfter(beliefs, answers, 20)
        if (!next) break
        const judged = judgedBy(
          hidden.get(next.strand as 'add')!,
          stepIndex(next),
          difficultiesOf(next.strand),
          chance,
        )
        const answer: CheckAnswer = { place: next, value: { judged, right: null, of: null } }
        answers.push(answer)
        await send(classId, pupilId, answer)
      }
      const { strands: kept } = await childPage(viewer, { classId, pupilId })
      for (const strand of strands) {
        const ladder = difficultiesOf(strand)
        const theta = hidden.get(strand)!
        const { workingStep } = kept.find((one) => one.strand === strand)!.estimate
        const believed = workingStep === null ? ladder.length : stepIndex({ strand, step: workingStep })
        const first = ladder.findIndex((b) => theta < b + secureLogit)
        // As the check itself is sure: between some steps there are others, so a step is as wide as steps usually are.
        if (logitsApart(ladder, believed, first < 0 ? ladder.length : first) <= wholeStep + 1e-9) within++
        upwards += interview(beliefs.get(strand)!.ability, ladder, (step) =>
          judgedBy(theta, step, ladder, chance),
        ).asked
        checks++
      }
      asked += answers.length
    }
    // Wider than any year group: the check starts from the year group's usual step, and stops after eight questions a strand. The
    // share is simulated: of 80 strands its standard error is 0.04.
    expect(within / checks).toBeGreaterThan(0.8)
    expect(asked / upwards).toBeLessThanOrEqual(0.62)
    process.stdout.write(
      `quick check: ${within} of ${checks} within a step, ${asked} questions against ${upwards} (${(asked / upwards).toFixed(2)})\n`,
    )
  },
  300_000,
)

test('what is stored is what the page reckoned: the estimate after the answers is the one on the screen', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const pupilId = rows[0].id
  const beliefs = await beliefsOf(classId, pupilId, ['add'])
  const answers: CheckAnswer[] = []
  for (const judged of ['own', 'own', 'notYet', 'help'] as const) {
    const { next } = checkAfter(beliefs, answers, 20)
    if (!next) break
    answers.push({ place: next, value: { judged, right: null, of: null } })
    await send(classId, pupilId, answers.at(-1)!)
  }
  const here = checkAfter(beliefs, answers, 20).strands[0].check.belief.ability
  const there = (await beliefsOf(classId, pupilId, ['add'])).get('add')!.ability
  expect(there.from).toBeCloseTo(here.from, 9)
  here.mass.forEach((mass, i) => expect(there.mass[i]).toBeCloseTo(mass, 9))
})

test('two answers at one step are two; one taken back is none; sent twice it is one', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const pupilId = rows[1].id
  const place = { strand: 'add', step: 'take-away-5' } as const
  const answer: CheckAnswer = { place, value: { judged: 'own', right: null, of: null } }
  const count = async () => (await childPage(viewer, { classId, pupilId })).records.length
  const id = crypto.randomUUID()
  await Promise.all([send(classId, pupilId, answer), send(classId, pupilId, answer, { id })])
  expect(await count()).toBe(2)
  await send(classId, pupilId, answer, { id })
  expect(await count()).toBe(2)
  await send(classId, pupilId, { place, value: { judged: null, right: null, of: null } }, { corrects: id })
  expect(await count()).toBe(1)
})

test('a record outside a session says its step, and only that: anything else is refused', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const pupilId = rows[0].id
  const answer: CheckAnswer = {
    place: { strand: 'add', step: 'take-away-5' },
    value: { judged: 'own', right: null, of: null },
  }
  await expect(send(classId, pupilId, answer, { at: null })).rejects.toThrow('Either a visit or a step')
  await expect(
    send(classId, pupilId, answer, { at: { strand: 'count', step: 'take-away-5' } }),
  ).rejects.toThrow('no such step')
  await expect(send(classId, crypto.randomUUID(), answer)).rejects.toThrow('not in this class')
  const page = await checkPage(viewer, { classId, pupilId, then: [rows[2].id, pupilId, crypto.randomUUID()] })
  // Neither itself, nor a child of another class.
  expect(page.then).toEqual([{ id: rows[2].id, name: rows[2].name }])
})

test('stopped after two answers, gone on with the next day: what would have come next comes', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const pupilId = rows[0].id
  const strands = ['add'] as const
  const before = await beliefsOf(classId, pupilId, strands)
  const answers: CheckAnswer[] = []
  for (const judged of ['own', 'help'] as const) {
    const { next } = checkAfter(before, answers, 5)
    answers.push({ place: next!, value: { judged, right: null, of: null } })
    await send(classId, pupilId, answers.at(-1)!)
  }
  const { next } = checkAfter(before, answers, 5)
  process.env.ISLANDS_CLOCK = '2026-11-25T09:00:00Z'
  try {
    const tomorrow = await beliefsOf(classId, pupilId, strands)
    expect(checkAfter(tomorrow, [], 5).next).toEqual(next)
  } finally {
    process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  }
})

test('several at once: strands that one of them was seen on and boards can answer, and nobody of another class', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const [a, b] = rows
  await send(classId, a.id, {
    place: { strand: 'numerals', step: 'numerals-10' },
    value: { judged: 'own', right: null, of: null },
  })
  const page = await checkTogetherPage(viewer, { classId, pupilIds: [a.id, b.id, crypto.randomUUID()] })
  expect(page.children.map(({ id }) => id).sort()).toEqual([a.id, b.id].sort())
  for (const { strands } of page.children) {
    expect(strands.map(({ strand }) => strand)).toContain('numerals')
    expect(strands.map(({ strand }) => strand)).not.toContain('count')
  }
  expect(page.usual).toHaveLength(1)
  await expect(checkTogetherPage(viewer, { classId, pupilIds: [a.id, crypto.randomUUID()] })).rejects.toThrow(
    'nothing here',
  )
})

test('what the class does not work on is not asked; where nothing of it can be answered on boards, boards ask on', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const [a, b] = rows
  await send(classId, a.id, {
    place: { strand: 'numerals', step: 'numerals-10' },
    value: { judged: 'own', right: null, of: null },
  })
  const worksOn = (...strands: StrandId[]) =>
    changeHouseStyle(viewer, {
      classId,
      style: { leftAside: strandIds.filter((strand) => !strands.includes(strand)) },
    })
  const asked = async (pupilId: string) => {
    const { strands, usual } = await checkPage(viewer, { classId, pupilId })
    return { strands: strands.map(({ strand }) => strand), usual }
  }
  await worksOn('add', 'time')
  expect(await asked(b.id)).toMatchObject({ strands: ['add', 'time'] })
  for (const { id } of [a, b])
    for (const strand of (await asked(id)).usual) expect(['add', 'time']).toContain(strand)
  const together = () => checkTogetherPage(viewer, { classId, pupilIds: [a.id, b.id] })
  expect((await together()).children[0].strands.map(({ strand }) => strand)).toEqual(['add'])
  await worksOn('count', 'time')
  const { children, usual } = await together()
  expect(children[0].strands.length).toBeGreaterThan(3)
  expect(children[0].strands.map(({ strand }) => strand)).toContain(usual[0])
  // At least one strand is worked on.
  await expect(worksOn()).rejects.toThrow('One strand at least')
})
