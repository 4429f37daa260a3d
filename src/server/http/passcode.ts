import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { dirname } from 'node:path'
import { z } from 'zod'

const cookieName = 'islands-device'
/** A device that gave the passcode is known for so long. */
const knownForDays = 60
const dayMs = 86_400_000

/** Wrong tries: of one address in a minute, of all in an hour. A million codes outlast them. */
const limits = { address: { tries: 5, ms: 60_000 }, all: { tries: 60, ms: 3_600_000 } }

const devicesSchema = z.record(z.string(), z.number())

const hashOf = (text: string) => createHash('sha256').update(text).digest('hex')

/**
 * A code made when the server is opened to the local network, to be given once by each device. A device is known
 * by a random token in a cookie; kept is only the token's hash, in a file, so that a restart asks nobody again.
 */
export class Passcode {
  readonly code = String(randomInt(0, 1_000_000)).padStart(6, '0')
  private readonly wrong: { address: string; at: number }[] = []
  private readonly devices: Map<string, number>

  constructor(
    private readonly file: string,
    private readonly clock: () => number = Date.now,
  ) {
    this.devices = new Map(Object.entries(readDevices(file)))
  }

  /** True if the request may go on; else it has been answered. */
  async lets(request: IncomingMessage, response: ServerResponse, nonce: string): Promise<boolean> {
    if (isThisComputer(request) || this.isKnown(request)) return true
    if (request.method === 'POST' && request.url === '/passcode') {
      await this.take(request, response, nonce)
      return false
    }
    if (request.method === 'GET' && !/^\/_next\//.test(request.url ?? '')) page(response, nonce, 401, null)
    else {
      response.statusCode = 401
      response.setHeader('content-type', 'application/json; charset=utf-8')
      response.end(JSON.stringify({ ok: false, problems: ['This device has to give the passcode first.'] }))
    }
    return false
  }

  private isKnown({ headers }: IncomingMessage): boolean {
    const token = new RegExp(`(?:^|; )${cookieName}=([\\w-]+)`).exec(headers.cookie ?? '')?.[1]
    const until = token === undefined ? undefined : this.devices.get(hashOf(token))
    return until !== undefined && until > this.clock()
  }

  private async take(request: IncomingMessage, response: ServerResponse, nonce: string) {
    const address = request.socket.remoteAddress ?? ''
    if (this.isTriedTooOften(address))
      return page(response, nonce, 429, 'Too many tries. Wait a minute, then try again.')
    const given = new URLSearchParams(await textOf(request)).get('code') ?? ''
    if (!isSame(given.replace(/\D/g, ''), this.code)) {
      this.wrong.push({ address, at: this.clock() })
      return page(response, nonce, 403, 'That is not the passcode.')
    }
    const token = randomBytes(24).toString('base64url')
    this.devices.set(hashOf(token), this.clock() + knownForDays * dayMs)
    this.keep()
    response.statusCode = 303
    response.setHeader(
      'set-cookie',
      `${cookieName}=${token}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${knownForDays * 86_400}`,
    )
    response.setHeader('location', '/')
    response.end()
  }

  private isTriedTooOften(address: string): boolean {
    const now = this.clock()
    while (this.wrong.length > 0 && this.wrong[0].at < now - limits.all.ms) this.wrong.shift()
    const lately = this.wrong.filter((one) => one.address === address && one.at >= now - limits.address.ms)
    return lately.length >= limits.address.tries || this.wrong.length >= limits.all.tries
  }

  private keep() {
    for (const [hash, until] of this.devices) if (until <= this.clock()) this.devices.delete(hash)
    mkdirSync(dirname(this.file), { recursive: true })
    writeFileSync(this.file, JSON.stringify(Object.fromEntries(this.devices)), { mode: 0o600 })
  }
}

function readDevices(file: string): Record<string, number> {
  if (!existsSync(file)) return {}
  try {
    return devicesSchema.parse(JSON.parse(readFileSync(file, 'utf8')))
  } catch {
    return {}
  }
}

const isThisComputer = ({ socket }: IncomingMessage) =>
  ['127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(socket.remoteAddress ?? '')

function isSame(given: string, code: string): boolean {
  return given.length === code.length && timingSafeEqual(Buffer.from(given), Buffer.from(code))
}

async function textOf(request: IncomingMessage): Promise<string> {
  let text = ''
  for await (const chunk of request) text += String(chunk)
  return text
}

/** The one page that is there without a passcode: no script, no name of a child or a class. */
function page(response: ServerResponse, nonce: string, status: number, problem: string | null) {
  response.statusCode = status
  response.setHeader('content-type', 'text/html; charset=utf-8')
  response.setHeader('cache-control', 'no-store')
  response.end(`<!doctype html>
<html lang="en-GB">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Islands</title>
<style nonce="${nonce}">
  :root { color-scheme: light dark; --paper: #f6f0e2; --sheet: #fffcf5; --ink: #1c2b3a; --muted: #56616c; --line: #857c69; --coral: #b03a20; --on-coral: #fffcf5; --error: #8c1d3f }
  @media (prefers-color-scheme: dark) { :root { --paper: #111d27; --sheet: #1a2935; --ink: #f2ebdc; --muted: #b4bec3; --line: #7d929e; --coral: #ff9c82; --on-coral: #111d27; --error: #ffb1c1 } }
  body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: var(--paper); color: var(--ink); font: 16px/1.5 'Figtree Variable', system-ui, sans-serif }
  main { box-sizing: border-box; width: min(400px, 100vw - 32px); padding: 32px; background: var(--sheet); border-radius: 10px }
  h1 { margin: 0 0 8px; font-size: 26px; font-weight: 650 }
  p { margin: 0 0 24px; color: var(--muted) }
  label { display: block; margin-bottom: 4px; font-size: 14px }
  input { box-sizing: border-box; width: 100%; height: 56px; padding: 0 16px; border: 1.5px solid var(--line); border-radius: 4px; background: var(--paper); color: var(--ink); font: 32px/1 ui-monospace, monospace; letter-spacing: .2em }
  button { width: 100%; height: 48px; margin-top: 16px; border: 0; border-radius: 4px; background: var(--coral); color: var(--on-coral); font: 650 16px/1 inherit; cursor: pointer }
  :focus-visible { outline: 3px solid var(--ink); outline-offset: 2px }
  .problem { margin: 0 0 16px; color: var(--error); font-weight: 650 }
</style>
<main>
  <h1>Islands asks once</h1>
  <p>The passcode stands in the window in which Islands was started.</p>
  ${problem === null ? '' : `<p class="problem" role="alert">${problem}</p>`}
  <form method="post" action="/passcode">
    <label for="code">Passcode, six figures</label>
    <input id="code" name="code" inputmode="numeric" autocomplete="one-time-code" maxlength="8" required autofocus>
    <button>Let this device in</button>
  </form>
</main>
</html>`)
}
