import Link from 'next/link'
import type { Spread } from '@/core/analysis/figures'
import type { Strain } from '@/core/analysis/strain'
import { gameOf } from '@/core/games'
import { pictureOf } from '@/core/games/playing/showing'
import type { Action } from '@/server/answer'
import type { gamePage, stopWaiting as stop } from '@/server/games'
import type { LevelFigures } from '@/server/heavy/jobs'
import { Board } from '../board/board'
import { FactGrid } from '../charts/fact-grid'
import { LengthChart } from '../charts/length-chart'
import { oneDecimal, inHundred } from '../words'
import { AdviceList } from './advice-list'
import { GameControls } from './game-controls'
import { ownInWords } from './own-in-words'
import { SimulationPanel } from './simulation-panel'
import { LookAgain, StillWorking } from './still-working'

type Page = Awaited<ReturnType<typeof gamePage>>

/** A game at one level: will it work in the slot, what does it practise, what would help. */
export function GamePage({
  classId,
  page,
  stopWaiting,
}: {
  classId: string
  page: Page
  stopWaiting: Action<typeof stop>
}) {
  const { game, level, levels, figures, input, changed, materials, advice } = page
  const analysis = figures.state === 'done' ? figures.value : null
  const slot = input.slotMinutes ?? 12
  const keep = `slot=${slot}&players=${input.players}`
  return (
    <>
      <div className="headline">
        <div>
          <p className="kicker">
            {game.title} · {level.title}
            {changed !== null && ' · rules changed'}
          </p>
          <h1>{analysis ? headingOf(analysis) : headingSoFar(page)}</h1>
          <p>{game.summary}</p>
        </div>
        <div className="headline-buttons">
          <Link className="btn btn-quiet" href={`/c/${classId}/show/${game.id}?level=${level.id}`}>
            Show
          </Link>
          <Link className="btn btn-quiet" href={`/c/${classId}/try/${game.id}?level=${level.id}`}>
            Try
          </Link>
          <Link className="btn btn-primary" href={`/c/${classId}/plan?add=${game.id}`}>
            Put in plan
          </Link>
        </div>
      </div>
      {page.refused.length > 0 && (
        <div className="problem" role="alert">
          The changed rules were refused: {page.refused.join(' ')} The level’s own rules are shown.
        </div>
      )}
      <div className="columns">
        <nav className="levels" aria-label="Levels">
          <h2 className="section">Levels</h2>
          <ol>
            {levels.map(({ id, title, children: fitting }) => (
              <li key={id}>
                <Link
                  href={`/c/${classId}/games/${game.id}?level=${id}&${keep}`}
                  aria-current={id === level.id ? 'page' : undefined}
                >
                  {title}
                  <small>
                    {fitting.length > 4
                      ? `${fitting.slice(0, 3).join(', ')} and ${fitting.length - 3} more`
                      : fitting.join(', ')}
                  </small>
                </Link>
              </li>
            ))}
          </ol>
        </nav>
        <div className="figures">
          <GameControls
            players={input.players ?? game.players.typical}
            least={game.players.min}
            most={game.players.max}
            slotMinutes={slot}
          />
          {figures.state === 'working' && (
            <StillWorking classId={classId} input={input} stopWaiting={stopWaiting} />
          )}
          {figures.state === 'too-long' && (
            <p className="small muted">
              The figures for these rules take longer than a page can wait. Play games out below to see how it
              goes.
            </p>
          )}
          {analysis && (
            <Figures analysis={analysis} slot={slot} byChance={page.byChance} strain={page.strain} />
          )}
        </div>
        <div className="game-side">
          <Picture gameId={game.id} levelId={level.id} title={`${game.title}, ${level.title}`} />
          <p className="small">
            <Link href={`/c/${classId}/train/${game.id}?level=${level.id}`}>Practise marking it</Link>
          </p>
          <h2 className="section">Get more from the time</h2>
          {advice.state === 'done' ? (
            <AdviceList
              advice={advice.value}
              address={`/c/${classId}/games/${game.id}?level=${level.id}`}
              slotMinutes={slot}
            />
          ) : (
            <p className="muted small">
              {advice.state === 'working'
                ? 'Trying changes …'
                : 'Trying changes takes too long for these rules.'}
            </p>
          )}
          {advice.state === 'working' && figures.state !== 'working' && <LookAgain />}
          <h2 className="section">Look for</h2>
          <ul className="plain-list small">
            {game.texts.lookFors.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <h2 className="section">For {materials.children} children</h2>
          <p className="small">{materials.needs.map(({ count, item }) => `${count} × ${item}`).join(', ')}</p>
          {game.texts.cautions.map((caution) => (
            <p key={caution} className="caution">
              {caution} Follow your school’s own risk assessment.
            </p>
          ))}
          <details className="small">
            <summary>Rules, questions to ask, at home</summary>
            <ol>
              {game.texts.rules.map((rule) => (
                <li key={rule}>{rule}</li>
              ))}
            </ol>
            {game.texts.misconceptions.map(({ seen, ask }) => (
              <p key={seen}>
                {seen} <em>“{ask}”</em>
              </p>
            ))}
            <p>
              To talk about: <em>“{game.texts.talk}”</em>
            </p>
            <p>At home: {game.texts.home}</p>
          </details>
          <SimulationPanel input={input} />
        </div>
      </div>
    </>
  )
}

/** The table after a few goes. */
function Picture({ gameId, levelId, title }: { gameId: string; levelId: string; title: string }) {
  const game = gameOf(gameId)
  const { layout, scene } = pictureOf(game, game.levels.find(({ id }) => id === levelId)!.params)
  return (
    <div className="game-table">
      <Board layout={layout} scene={scene} name={title} />
    </div>
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
  slot: number
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
          <LengthChart seconds={minutes.seconds} slotMinutes={slot} method={minutes.method} />
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

/** What was measured beforehand speaks until the exact figures are there. */
function headingSoFar({ known, figures }: Page): string {
  if (known?.finishInSlot != null) return finishInWords(known.finishInSlot)
  if (known && known.minutes === null) return 'As long as you like'
  return figures.state === 'working' ? 'Working out how it goes …' : 'How long it takes is not known'
}

function headingOf({ minutes, practice, reason }: LevelFigures): string {
  if (minutes) return finishInWords(minutes.finishInSlot)
  if (reason === 'time-boxed' && practice)
    return `As long as you like: ${oneDecimal(practice.itemsPerChildPer10Min)} facts in ten minutes`
  return 'This game has no end at these rules'
}

function finishInWords(share: number): string {
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
