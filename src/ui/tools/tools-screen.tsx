'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { seededChance } from '@/core/chance/chance'
import { timeInWords } from '@/core/skills'
import {
  filled,
  isTapped,
  isUsed,
  newTool,
  tapped,
  toolIds,
  toolLayout,
  toolScene,
  turned,
  used,
  type Tool,
  type ToolId,
} from '@/core/table/tools'
import { Board } from '../board/board'
import { KeysButton } from '../keys/keys-button'
import { useShortcuts } from '../keys/use-shortcuts'
import { Timer } from './timer'
import { ToolSettings } from './tool-settings'

const titles: Record<ToolId, string> = {
  dice: 'Dice',
  spinner: 'Spinner',
  cards: 'Number cards',
  line: 'Number line',
  grid: 'Hundred grid',
  frames: 'Ten frames',
  clock: 'Clock',
}

const actions: Partial<Record<ToolId, string>> = { dice: 'Roll', spinner: 'Spin', cards: 'Turn a card' }

/** The things of a game one by one before the class, for who has neither printer nor dice. */
export function ToolsScreen({ classId }: { classId: string }) {
  const router = useRouter()
  const [tool, setTool] = useState<Tool>(() => newTool('dice'))
  const [timing, setTiming] = useState(false)
  const layout = toolLayout(tool)

  const use = () => isUsed(tool) && setTool(used(tool, seededChance(Math.floor(Math.random() * 2 ** 31))))
  const pick = (id: ToolId) => setTool(newTool(id, id === 'line' ? { from: 0, to: 20 } : {}))

  useShortcuts([
    { keys: 'Space', title: 'Roll, spin or turn a card', run: use },
    ...toolIds.map((id, i) => ({ keys: String(i + 1), title: titles[id], run: () => pick(id) })),
    { keys: 't', title: 'Timer', run: () => setTiming(!timing) },
    ...(tool.id === 'clock'
      ? [
          { keys: 'ArrowRight', title: 'Five minutes on', run: () => setTool(turned(tool, 5)) },
          { keys: 'ArrowLeft', title: 'Five minutes back', run: () => setTool(turned(tool, -5)) },
        ]
      : []),
    ...(tool.id === 'frames'
      ? [
          { keys: 'ArrowRight', title: 'One more', run: () => setTool(filled(tool, tool.marked.length + 1)) },
          { keys: 'ArrowLeft', title: 'One less', run: () => setTool(filled(tool, tool.marked.length - 1)) },
        ]
      : []),
    { keys: 'Escape', title: 'Close', run: () => router.push(`/c/${classId}`) },
  ])

  return (
    <main className="stage tools">
      <section className="show-table" aria-label="Table">
        <header>
          <h1>{titles[tool.id]}</h1>
          <p aria-live="polite">{inWords(tool)}</p>
        </header>
        <div className="show-board">
          <Board
            layout={layout}
            scene={toolScene(tool)}
            name={titles[tool.id]}
            live={
              isTapped(tool)
                ? new Map(
                    layout.spots.map(({ id, face }, i) => [
                      id,
                      face?.kind === 'numeral' ? String(face.n) : `place ${i + 1}`,
                    ]),
                  )
                : undefined
            }
            onSpot={(id) => setTool(tapped(tool, id))}
          />
        </div>
      </section>
      <section className="show-words" aria-label="Tools">
        <div className="tools-list" role="group" aria-label="Tool">
          {toolIds.map((id) => (
            <Button key={id} variant="quiet" aria-pressed={id === tool.id} onClick={() => pick(id)}>
              {titles[id]}
            </Button>
          ))}
        </div>
        <ToolSettings
          tool={tool}
          onChange={(settings) => setTool(newTool(tool.id, { ...tool.settings, ...settings }))}
        />
        <div className="show-keys">
          {actions[tool.id] && (
            <Button variant="primary" onClick={use}>
              {actions[tool.id]}
            </Button>
          )}
          {tool.id === 'clock' &&
            [-60, -5, 5, 60].map((by) => (
              <Button key={by} variant="quiet" onClick={() => setTool(turned(tool, by))}>
                {by < 0 ? '−' : '+'} {Math.abs(by) === 60 ? 'an hour' : '5 minutes'}
              </Button>
            ))}
          {tool.id === 'frames' && (
            <>
              <Button variant="quiet" onClick={() => setTool(filled(tool, tool.marked.length - 1))}>
                One less
              </Button>
              <Button variant="quiet" onClick={() => setTool(filled(tool, tool.marked.length + 1))}>
                One more
              </Button>
            </>
          )}
          {isTapped(tool) && (
            <Button
              variant="plain"
              disabled={tool.marked.length === 0}
              onClick={() => setTool(newTool(tool.id, tool.settings))}
            >
              Clear
            </Button>
          )}
        </div>
        <span className="show-grow" />
        {timing && <Timer />}
        <div className="show-choose">
          <Button variant="plain" aria-pressed={timing} onClick={() => setTiming(!timing)}>
            Timer
          </Button>
          <Link href={`/c/${classId}/questions`}>Questions</Link>
          <KeysButton />
          <Link href={`/c/${classId}`}>Close</Link>
        </div>
      </section>
    </main>
  )
}

/** What the tool shows, in a line. */
function inWords(tool: Tool): string {
  const { id, shown, marked, minutes } = tool
  if (id === 'clock') return timeInWords(Math.floor(minutes / 60), minutes % 60)
  if (isTapped(tool)) return marked.length === 0 ? 'Tap a place.' : `${marked.length} marked`
  if (shown.length === 0) return 'Ready'
  return shown.length === 1 ? String(shown[0]) : `${shown.join(' and ')}`
}
