/**
 * How the server is started: arguments of Node, the port and the server's own flags follow. What was made last is collected in
 * smaller steps than with Node's usual 16 MB, for each of them holds the server's only thread up, and by that thread alone: on a
 * busy machine it would wait for helpers that are not let run. One helper marks what is in use: four would take the cores the
 * thread needs to answer. What was read of a page is kept: else it is thrown away while only marks come in, and the first page after
 * a quiet while reads it again, all at once (decision 049). The program is what `bin/bundle.mjs` makes of `bin/serve.ts`.
 */
const serving = [
  '--max-semi-space-size=4',
  '--no-parallel-scavenge',
  '--v8-pool-size=1',
  '--no-flush-bytecode',
  '.islands/bundle/serve.mjs',
]

/**
 * For a process that lives for a minute: WebAssembly that was used for a while is else compiled once more, to be faster afterwards.
 * The database's takes a core for about a second; at a hundred times the use it is only what pays.
 */
const shortLived = ['--wasm-tiering-budget=180000000']

module.exports = { serving, shortLived }
