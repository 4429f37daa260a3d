'use client'

import type { Tool, ToolSettings as Settings } from '@/core/table/tools'

type Choice = { key: keyof Settings; label: string; values: readonly number[] }

const choices: Partial<Record<Tool['id'], readonly Choice[]>> = {
  dice: [
    { key: 'count', label: 'Dice', values: [1, 2, 3] },
    { key: 'sides', label: 'Sides', values: [6, 10, 20] },
  ],
  spinner: [{ key: 'sectors', label: 'Sectors', values: [2, 3, 4, 5, 6, 8, 10, 12] }],
  cards: [
    { key: 'from', label: 'From', values: [0, 1, 10, 11] },
    { key: 'to', label: 'To', values: [5, 6, 9, 10, 20, 50, 100] },
  ],
  line: [
    { key: 'from', label: 'From', values: [0, 10, 20, 50] },
    { key: 'to', label: 'To', values: [10, 20, 30, 50, 100] },
  ],
  frames: [{ key: 'cells', label: 'Cells', values: [5, 10, 20] }],
}

/** What can be set of a tool. */
export function ToolSettings({
  tool,
  onChange,
}: {
  tool: Tool
  onChange: (settings: Partial<Settings>) => void
}) {
  const shown = choices[tool.id] ?? []
  return (
    <div className="tool-settings">
      {shown.map(({ key, label, values }) => (
        <label key={key}>
          {label}{' '}
          <select
            value={tool.settings[key]}
            onChange={({ target }) => onChange({ [key]: Number(target.value) })}
          >
            {values
              .filter((value) =>
                key === 'from' ? value < tool.settings.to : key === 'to' ? value > tool.settings.from : true,
              )
              .map((value) => (
                <option key={value} value={value}>
                  {value}
                </option>
              ))}
          </select>
        </label>
      ))}
    </div>
  )
}
