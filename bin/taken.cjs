// What a shared machine kept back: how long a check took says little where half of the time went to somebody else.
const { readFileSync } = require('node:fs')

/** Counters of all processors since the machine was started; null where there are none (not Linux). */
function counters() {
  try {
    return readFileSync('/proc/stat', 'utf8')
  } catch {
    return null
  }
}

/** user, nice, system, idle, iowait, irq, softirq and steal, in ticks: the first line of `/proc/stat`, see proc(5). */
const ticks = (stat) => /^cpu +([\d ]+)/.exec(stat)[1].split(' ').slice(0, 8).map(Number)

/**
 * Share of the processors' time from one reading of `/proc/stat` to the next that was wanted here and given to other machines;
 * null where nothing counts it.
 * @param {string | null} before
 * @param {string | null} after
 * @returns {number | null} 0 to 1
 */
function shareTaken(before, after) {
  if (before === null || after === null) return null
  const [then, now] = [ticks(before), ticks(after)]
  const passed = now.map((value, i) => value - then[i])
  const all = passed.reduce((sum, one) => sum + one, 0)
  return all > 0 ? passed[7] / all : null
}

module.exports = { counters, shareTaken }
