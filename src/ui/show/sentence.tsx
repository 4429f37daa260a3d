import { Fragment } from 'react'

/**
 * A number sentence as large as it is read from the back of the room, with a gap where its “?” stands. Where the line is too
 * short it goes on below from the sign of equality, rather than getting smaller.
 */
export function Sentence({
  text,
  className = 'show-sentence',
  ...data
}: {
  text: string
  className?: string
  'data-sentence'?: string
  'data-asked'?: string
}) {
  const equals = text.search(/[=<>]/)
  // Words take more room than numbers and signs.
  const size = /[a-z]{3}/.test(text) ? ' in-words' : ''
  const parts = equals > 0 ? [text.slice(0, equals), text.slice(equals)] : [text]
  return (
    <p className={className + size} {...data}>
      {parts.map((part, i) => (
        <Fragment key={part}>
          {i > 0 && ' '}
          <span className="sentence-part">
            <WithGap text={part.trim()} />
          </span>
        </Fragment>
      ))}
    </p>
  )
}

function WithGap({ text }: { text: string }) {
  const [before, after] = text.split('?')
  if (after === undefined) return text
  return (
    <>
      {before.trim()} <span className="show-gap" role="img" aria-label="gap" /> {after.trim()}
    </>
  )
}
