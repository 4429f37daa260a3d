'use client'

import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { faceMarks } from '@/core/drawing/faces'
import type { Stimulus } from '@/core/teaching/stimulus'
import { Marks } from '../board/mark-shape'

const [width, height, gap] = [70, 44, 16]

/** What the child looks at: shown as long as the step wants it, then covered. Nothing on it says right or wrong. */
export function StimulusView({ stimulus: { faces, seconds } }: { stimulus: Stimulus }) {
  // What is only glanced at waits until the child looks.
  const [shown, setShown] = useState(seconds === null)
  useEffect(() => {
    if (seconds === null || !shown) return
    const timer = setTimeout(() => setShown(false), seconds * 1000)
    return () => clearTimeout(timer)
  }, [seconds, shown])
  const all = faces.length * width + (faces.length - 1) * gap
  return (
    <div className="check-stimulus">
      {shown ? (
        <svg
          className="board"
          viewBox={`${-all / 2} ${-height / 2} ${all} ${height}`}
          role="img"
          aria-label="to look at"
        >
          {faces.map((face, i) => (
            <g key={i} transform={`translate(${-all / 2 + width / 2 + i * (width + gap)} 0)`}>
              <Marks marks={faceMarks(face, width * 0.92, height * 0.92)} />
            </g>
          ))}
        </svg>
      ) : (
        <Button variant="quiet" size="lg" onClick={() => setShown(true)}>
          Show for {seconds} seconds
        </Button>
      )}
    </div>
  )
}
