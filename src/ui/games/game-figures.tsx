import type { Around } from '@/core/analysis/around'
import type { Spread } from '@/core/analysis/figures'
import type { Strain } from '@/core/analysis/strain'
import { gamesThatFit } from '@/core/planning/session/short'
import type { Action } from '@/server/answer'
import type { gamePage, stopWaiting as stop } from '@/server/games/game'
import type { LevelFigures } from '@/server/heavy/jobs'
import { FactGrid } from '../charts/fact-grid'
import { LengthChart } from '../charts/length-chart'
import { oneDecimal, inHundred, minutesInWords } from '../words'
import { AdviceList } from './advice-list'
import { GameControls } from './game-controls'
import { ownInWords } from './own-in-words'
import { SimulationPanel } from './simulation-panel'
import { LookAgain, StillWorking } from './still-working'

type Page = Awaited<ReturnType<typeof gamePage>>

/** What a slot of the level comes to, and what would make more of it. */
export function GameFigures({
  classId,
  page,
  address,
  stopWaiting,
}: {
  classId: string
  page: Page & { figures: NonNullable<Page['figures']> }
  /** The page of the level, without its slot and players. */
  address: string
  stopWaiting: Action<typeof stop>
}) {
  const { game, input, slotMinutes, around } = page
  const { analysis, advice, byChance, strain } = page.figures
  return (
    <>
      <div className="figures">
        <GameControls
          players={input.players ?? game.players.typical}
          least={game.players.min}
          most={game.players.max}
          slotMinutes={slotMinutes}
        />
        {analysis.state === 'working' && (
          <StillWorking classId={classId} input={input} stopWaiting={stopWaiting} />
        )}
        {analysis.state === 'too-long' && (
          <p className="small muted">
            The figures for these rules take longer than a page can wait. Play games out below to see how it
            goes.
          </p>
        )}
        {analysis.state === 'done' && (
          <Figures
            analysis={analysis.value}
            slot={{ minutes: slotMinutes, around }}
            byChance={byChance}
            strain={strain}
          />
        )}
      </div>
      <div className="game-side">
        <h2 className="section">Get more from the time</h2>
        {advice.state === 'done' ? (
          <AdviceList advice={advice.value} address={`${address}&view=figures`} slotMinutes={slotMinutes} />
        ) : (
          <p className="muted small">
            {advice.state === 'working'
              ? 'Trying changes …'
              : 'Trying changes takes too long for these rules.'}
          </p>
        )}
        {advice.state === 'working' && analysis.state !== 'working' && <LookAgain />}
        <SimulationPanel input={input} />
      </div>
    </>
  )
}

/** How long it takes, and what is practised. */
function Figures({
  analysis,
  slot,
  byChance,
  strain,
}: {
  analysis: LevelFigures
  slot: { minutes: number; around: Around }
  byChance: number | null
  strain: Strain | null
}) {
  const { set, minutes, practice, method, games, own, sample } = analysis
  return (
    <>
      {set?.goes && minutes && (
        <>
          <h2 className="section">
            {usually(set.goes, minutes)}{' '}
            <small>
              {method}
              {games !== null && `, ${games.toLocaleString('en-GB')} games`}
            </small>
          </h2>
          <LengthChart
            seconds={minutes.seconds}
            playing={Math.max(1, slot.minutes - slot.around.setUp - slot.around.packUp)}
            slotMinutes={slot.minutes}
            method={minutes.method}
          />
          <p className="small muted">
            Laying it out takes {minutesInWords(slot.around.setUp)}, packing up{' '}
            {minutesInWords(slot.around.packUp)}; the rest of the {slot.minutes} minutes is for playing.
          </p>
        </>
      )}
      {set && practice && (
        <>
          <p className="small">
            <Sentences set={set} practice={practice} minutes={minutes} byChance={byChance} sample={sample} />
            {ownInWords(own).map((sentence) => ` ${sentence}`)}
            {strain && ` ${strainInWords(strain).join(' ')}`}
          </p>
          <FactGrid facts={practice.facts} steps={practice.steps} timeBoxed={set.goes === null} />
        </>
      )}
    </>
  )
}

/** How far a figure that was found by playing may be off; nothing where that is less than is shown. */
function give(halfWidth: number | undefined, words: (value: number) => string | number): string {
  if (halfWidth === undefined || !Number.isFinite(halfWidth)) return ''
  const off = words(halfWidth)
  return Number(off) === 0 ? '' : ` (± ${off})`
}

function strainInWords({ games, longestWait: { p90 }, sentBack }: Strain): string[] {
  const played = `(${games} games played)`
  return [
    ...(p90 > 1 ? [`In 9 of 10 games a child waits at most ${p90} goes in a row ${played}.`] : []),
    ...(sentBack
      ? [`${oneDecimal(sentBack.mean)} tokens are sent back in a game (± ${oneDecimal(sentBack.halfWidth)}).`]
      : []),
  ]
}

/** What is known at once: measured beforehand, or worked out by now. */
export function headingFor({ known, figures, slotMinutes, around }: Page): string | null {
  const playing = Math.max(1, slotMinutes - around.setUp - around.packUp)
  if (figures?.analysis.state === 'done') return headingOf(figures.analysis.value, playing)
  if (known?.finishInSlot != null && known.minutes)
    return lengthInWords({ ...known.minutes, finishInSlot: known.finishInSlot }, playing)
  if (known && known.minutes === null) return 'As long as you like'
  if (!figures) return null
  return figures.analysis.state === 'working' ? 'Working out how it goes …' : 'How long it takes is not known'
}

function headingOf({ minutes, practice, reason }: LevelFigures, playing: number): string {
  if (minutes) return lengthInWords(minutes, playing)
  if (reason === 'time-boxed' && practice)
    return `As long as you like: ${oneDecimal(practice.itemsPerChildPer10Min)} facts in ten minutes`
  return 'This game has no end at these rules'
}

/** Whether it ends in the slot, or is over long before it. @param playing minutes of the slot there are to play */
function lengthInWords(
  { p50, finishInSlot: share }: { p50: number; finishInSlot: number },
  playing: number,
): string {
  const games = gamesThatFit(p50, playing)
  if (games !== null)
    return `Over in about ${oneDecimal(p50)} minutes: about ${oneDecimal(games)} games fit in your slot`
  if (share >= 0.995) return 'Nearly always finishes in your slot'
  return share < 0.005
    ? 'Hardly ever finishes in your slot'
    : `Finishes in your slot ${inHundred(share)} times in 100`
}

/** Goes and minutes of eight games in ten. */
function usually(goes: Spread, minutes: Spread): string {
  const number = goes.p10 === goes.p90 ? `${goes.p10} goes` : `Usually ${goes.p10} to ${goes.p90} goes`
  const [from, to] = [oneDecimal(minutes.p10), oneDecimal(minutes.p90)]
  return `${number}, about ${from === to ? from : `${from} to ${to}`} minutes`
}

function Sentences({
  set,
  practice,
  minutes,
  byChance,
  sample,
}: {
  set: NonNullable<LevelFigures['set']>
  practice: NonNullable<LevelFigures['practice']>
  minutes: LevelFigures['minutes']
  byChance: number | null
  sample: LevelFigures['sample']
}) {
  return (
    <>
      {set.goes && minutes && (
        <>
          {oneDecimal(set.goes.mean)} goes on average, {oneDecimal(minutes.mean)} minutes for children who
          count on.{' '}
        </>
      )}
      {set.deadShare > 0 && <>In {inHundred(set.deadShare)} of 100 goes a child can only wait. </>}A child
      answers about {oneDecimal(practice.itemsPerChildPer10Min)}
      {give(sample?.halfWidth.itemsPer10Min, oneDecimal)} times in ten minutes and waits{' '}
      {inHundred(Math.max(0, practice.waitingShare))}
      {give(sample?.halfWidth.waitingShare, inHundred)} % of the time.
      {set.goes && byChance !== null && oneDecimal(byChance) !== oneDecimal(set.goes.mean) && (
        <>
          {' '}
          Moving at random takes {oneDecimal(byChance)} goes, thinking ahead {oneDecimal(set.goes.mean)}.
          Teach that thinking.
        </>
      )}
      {set.firstPlayerWins !== null && (
        <> The child who starts wins {inHundred(set.firstPlayerWins)} games in 100.</>
      )}
    </>
  )
}
