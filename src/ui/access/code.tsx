'use client'

import { encode } from 'uqr'
import { useSyncExternalStore } from 'react'

const here = () => window.location.origin
const nowhere = () => null
const never = () => () => undefined

/** A way in: a picture that is scanned, and a code that is typed. What is behind # in an address is sent to nobody. */
export function Code({ address, token, code }: { address: string | null; token: string; code: string }) {
  const origin = useSyncExternalStore(never, here, nowhere)
  const at = address ?? origin
  if (at === null) return null
  return (
    <div className="way-in">
      <Qr text={`${at}/here#${token}`} />
      <p>
        Scan it, or open <strong>{at.replace(/^https?:\/\//, '')}/here</strong> and type
      </p>
      <p className="typed-code" aria-label={`The code ${code.split('').join(' ')}`}>
        {code}
      </p>
      <p className="tiny muted">
        The picture lets in as many as scan it; the typed code is good once. Both end with the session.
      </p>
      {address === null && /^https?:\/\/(localhost|127\.)/.test(at) && (
        <p className="caution-line small">
          Other devices can’t reach this computer yet: start Islands with <code>npm start -- --lan</code>.
        </p>
      )}
    </div>
  )
}

/** A text as squares that a camera reads (ISO/IEC 18004), with the quiet zone the standard asks for. */
export function Qr({ text }: { text: string }) {
  const quiet = 4
  const { size, data } = encode(text, { border: 0, ecc: 'M' })
  const squares = data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x},${y}h1v1h-1z`] : [])))
  return (
    <svg
      className="qr"
      viewBox={`${-quiet} ${-quiet} ${size + 2 * quiet} ${size + 2 * quiet}`}
      role="img"
      aria-label="Code to scan"
    >
      <rect x={-quiet} y={-quiet} width={size + 2 * quiet} height={size + 2 * quiet} fill="#fff" />
      <path d={squares.join('')} fill="#000" />
    </svg>
  )
}
