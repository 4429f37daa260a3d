/**
 * How the server is started: arguments of Node, the port and the server's own flags follow. What was made last is collected in
 * smaller steps than with Node's usual 16 MB, for each of them holds the server's only thread up, and by that thread alone: on a
 * busy machine it would wait for helpers that are not let run. One helper marks what is in use: four would take the cores the
 * thread needs to answer (decision 049).
 */
const serving = [
  '--max-semi-space-size=4',
  '--no-parallel-scavenge',
  '--v8-pool-size=1',
  '--import',
  'tsx',
  'bin/serve.ts',
]

module.exports = { serving }
