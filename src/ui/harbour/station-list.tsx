import { groupNames } from '@/core/grouping/pennants'
import type { HarbourPage } from '@/server/harbour'
import { Pennant } from '../pennant'
import { modeInWords } from '../words'

/** The session as a list, for a window in which the letters of the chart would be too small to read. */
export function StationList({
  stations,
  foot,
}: {
  stations: NonNullable<HarbourPage['session']>['stations']
  foot: string
}) {
  return (
    <div className="station-list">
      <p className="small muted">{foot}</p>
      <ul className="rows">
        {stations.map(({ id, title, level, mode, pennants }) => (
          <li key={id}>
            <span className="grow">
              <strong>{title}</strong>
              <br />
              <span className="small muted">{[level, modeInWords[mode]].filter(Boolean).join(' · ')}</span>
            </span>
            <span className="flags">
              {pennants.map((number) => (
                <span key={number}>
                  <Pennant number={number} /> <strong className="small">{groupNames[number]}</strong>
                </span>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}
