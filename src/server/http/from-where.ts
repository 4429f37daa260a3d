import type { IncomingMessage } from 'node:http'
import type { TLSSocket } from 'node:tls'

/** Set by the guard, whatever a request says of itself: the address it comes from, and whether that is this computer. */
export const addressHeader = 'x-islands-address'
const hereHeader = 'x-islands-here'

const own = ['127.0.0.1', '::1', '::ffff:127.0.0.1']

/** Writes down where a request comes from. One that was passed on by another server comes from elsewhere. */
export function writeDownWhence({ headers, socket }: IncomingMessage) {
  const address = socket.remoteAddress ?? ''
  const passedOn = headers['x-forwarded-for'] ?? headers.forwarded
  // Believed only of a server beside this one: anybody else could make up an address for every try.
  const first = own.includes(address)
    ? Array.isArray(passedOn)
      ? passedOn[0]
      : passedOn?.split(',')[0]
    : undefined
  // Whether it came by TLS is seen here; a server beside this one, which passes requests on, may say it as well.
  if ((socket as Partial<TLSSocket>).encrypted) headers['x-forwarded-proto'] = 'https'
  else if (!own.includes(address)) delete headers['x-forwarded-proto']
  headers[addressHeader] = (first ?? address).trim().slice(0, 60)
  headers[hereHeader] = own.includes(address) && passedOn === undefined ? '1' : '0'
}

/** True if whoever asks sits at the computer Islands runs on. */
export const askedFromHere = (headers: Headers): boolean => headers.get(hereHeader) === '1'
