import type { RunVisit } from '@/server/session-board'

/** The level in sight from its set-up to who has won: enough for an adult who has never seen the game. */
export function HowToPlayIt({ texts }: { texts: RunVisit['texts'] }) {
  return (
    <dl className="how-to-play">
      <dt>Set up</dt>
      <dd>{texts.setUp}</dd>
      <dt>Start</dt>
      <dd>{texts.start}</dd>
      <dt>What children do</dt>
      <dd>
        <ol>
          {texts.steps.map(([, words]) => (
            <li key={words}>{words}</li>
          ))}
        </ol>
      </dd>
      <dt>Rules</dt>
      <dd>
        <ul>
          {texts.rules.map((rule) => (
            <li key={rule}>{rule}</li>
          ))}
        </ul>
      </dd>
      <dt>The end</dt>
      <dd>{texts.end}</dd>
    </dl>
  )
}
