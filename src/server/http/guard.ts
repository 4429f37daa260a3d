import { randomBytes } from 'node:crypto'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { writeDownWhence } from './from-where'

/** Bytes a request may bring, by what it is for. */
const limits: [RegExp, number][] = [
  [/^\/(c\/[^/]+|here)\/(marks|told)$/, 4_000],
  [/^\/settings\/import$/, 40_000_000],
  [/^\/(here|sign-in|invited)$/, 4_000],
]
const usualLimit = 1_000_000
/** How long the rest of a refused request is let drop. */
const dropMs = 500

export interface GuardOptions {
  /** Names and addresses under which the server may be asked for, without ports. */
  hosts: readonly string[]
}

/** A request that is turned away: status, and why in words. */
interface Refusal {
  status: number
  why: string
}

/**
 * Stands before everything else: turns away what is too large, misspelt, from another site or for another host
 * (a name that was made to point here reads nothing), writes down where a request comes from, and sets the headers of
 * every answer. Who may what is asked by the use cases.
 * @returns true if the request may go on
 */
export function guard(request: IncomingMessage, response: ServerResponse, { hosts }: GuardOptions): boolean {
  setHeaders(request, response)
  writeDownWhence(request)
  const refusal = refusalOf(request, hosts)
  if (refusal) {
    // What is still on its way is let drop for a moment, so that the answer arrives; then the line is cut.
    request.resume()
    setTimeout(() => request.complete || request.destroy(), dropMs).unref()
    answer(response, refusal.status, refusal.why)
    return false
  }
  return true
}

function refusalOf(request: IncomingMessage, hosts: readonly string[]): Refusal | null {
  const { headers, method = 'GET', url = '/' } = request
  const host = nameIn(headers.host)
  if (host === null || !hosts.includes(host))
    return { status: 421, why: 'Islands is not to be had under this name.' }
  if (!isSpeltWell(url)) return { status: 400, why: 'The address is misspelt.' }
  if (method === 'GET' || method === 'HEAD') return null
  if (method !== 'POST') return { status: 405, why: 'This can’t be done here.' }
  if (isFromElsewhere(request)) return { status: 403, why: 'Sent from another site.' }
  if (headers['transfer-encoding'] !== undefined || headers['content-length'] === undefined)
    return { status: 411, why: 'Say how long it is.' }
  const path = url.split('?')[0]
  const limit = limits.find(([pattern]) => pattern.test(path))?.[1] ?? usualLimit
  if (Number(headers['content-length']) > limit) return { status: 413, why: 'This is more than fits here.' }
  return null
}

/** A host's name without its port; null where it is none. */
function nameIn(host: string | undefined): string | null {
  if (host === undefined || !/^[\w.:[\]-]+$/.test(host)) return null
  return host.replace(/:\d+$/, '').toLowerCase()
}

function isSpeltWell(url: string): boolean {
  try {
    return !decodeURIComponent(url).includes('\u0000') && url.startsWith('/') && url.length < 8_000
  } catch {
    return false
  }
}

/** Browsers say where a change comes from; what says nothing is no browser. */
function isFromElsewhere({ headers }: IncomingMessage): boolean {
  if (headers['sec-fetch-site'] === 'cross-site') return true
  if (headers.origin === undefined) return false
  try {
    return new URL(headers.origin).host !== headers.host
  } catch {
    return true
  }
}

/**
 * The policy by which a browser loads nothing from elsewhere and runs nothing that was not put there by this
 * answer. The framework finds the nonce in the request and gives it to its scripts.
 */
function setHeaders(request: IncomingMessage, response: ServerResponse) {
  const nonce = randomBytes(16).toString('base64')
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src 'self' 'nonce-${nonce}'`,
    "img-src 'self' data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
  request.headers['content-security-policy'] = policy
  response.setHeader('content-security-policy', policy)
  response.setHeader('x-content-type-options', 'nosniff')
  response.setHeader('referrer-policy', 'same-origin')
  response.setHeader('permissions-policy', 'camera=(), microphone=(), geolocation=(), payment=(), usb=()')
  response.setHeader('cross-origin-opener-policy', 'same-origin')
  response.setHeader('cross-origin-resource-policy', 'same-origin')
}

/** A short answer for programs and people alike. */
export function answer(response: ServerResponse, status: number, why: string) {
  response.statusCode = status
  response.setHeader('content-type', 'application/json; charset=utf-8')
  response.setHeader('cache-control', 'no-store')
  response.end(JSON.stringify({ ok: false, problems: [why] }))
}
