/**
 * How the server is started: arguments of Node, the port and the server's own flags follow. What was made last is collected in
 * small steps: with Node's usual 16 MB one step of it holds the server's only thread up for 20 to 40 ms on two busy cores,
 * with 4 MB for some 5 to 10.
 */
const serving = ['--max-semi-space-size=4', '--import', 'tsx', 'bin/serve.ts']

module.exports = { serving }
